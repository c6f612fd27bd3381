-- Intakes: appended, one row a version. Sets and lists are JSON arrays of the core's words.
create table intake (
  id                   text primary key,
  client_id            text not null references client (id),
  version              integer not null check (version >= 1),
  supersedes           text unique references intake (id),
  asked                text not null check (json_valid(asked)),
  activity             text not null,
  slow_mile            integer not null check (slow_mile in (0, 1)),
  symptoms             text not null check (json_valid(symptoms)),
  conditions           text not null check (json_valid(conditions)),
  medicines            text not null check (json_valid(medicines)),
  limits               text not null check (json_valid(limits)),
  guardian_consent     integer not null check (guardian_consent in (0, 1)),
  goal                 text,
  days                 text not null check (json_valid(days)),
  equipment            text not null check (json_valid(equipment)),
  height_cm            integer,
  weight_kg            text,
  usual_resting_bpm    integer,
  medicines_changed_at text,
  symptoms_reported_at text,
  recorded_at          text not null,
  recorded_by          text,
  unique (client_id, version)
) strict;

create view current_intake as
  select * from intake
  where id not in (select supersedes from intake where supersedes is not null);

-- The tick boxes each client had become their first intake: activity is known, the rest of the
-- questions have not been asked. The row takes the client's id, which is unique here as well.
insert into intake (id, client_id, version, asked, activity, slow_mile, symptoms, conditions,
    medicines, limits, guardian_consent, days, equipment, recorded_at, recorded_by)
  select id, id, 1, '["ACTIVITY"]', activity, 0, '[]',
    case
      when heart_condition and heart_failure then '["HEART_CONDITION","HEART_FAILURE"]'
      when heart_condition then '["HEART_CONDITION"]'
      when heart_failure then '["HEART_FAILURE"]'
      else '[]'
    end,
    case
      when beta_blocker
        then '[{"medicineClass":"BETA_BLOCKER","name":"","dose":"","since":null}]'
      else '[]'
    end,
    '[]', guardian_consent, '[]', '[]', updated_at, recorded_by
  from client;

alter table client drop column activity;
alter table client drop column heart_condition;
alter table client drop column heart_failure;
alter table client drop column beta_blocker;
alter table client drop column guardian_consent;

-- A clinician's word: appended; one put on record by mistake is taken back by a row that
-- supersedes it and says so.
create table clearance (
  id          text primary key,
  client_id   text not null references client (id),
  supersedes  text unique references clearance (id),
  withdrawn   integer not null default 0 check (withdrawn in (0, 1)),
  issuer      text not null,
  issued_on   text not null,
  allows      text not null,
  until       text not null,
  note        text not null,
  recorded_at text not null,
  recorded_by text
) strict;

create index clearance_by_client on clearance (client_id);

create view current_clearance as
  select * from clearance
  where withdrawn = 0
    and id not in (select supersedes from clearance where supersedes is not null);

-- Today's go or no-go: what was found and what it came to, frozen as versioned JSON; the columns
-- beside it are for finding and listing.
create table check_in (
  id          text primary key,
  client_id   text not null references client (id),
  supersedes  text unique references check_in (id),
  withdrawn   integer not null default 0 check (withdrawn in (0, 1)),
  on_day      text not null,
  pulse_bpm   integer not null,
  outcome     text not null,
  symptoms    integer not null check (symptoms in (0, 1)),
  changed     integer not null check (changed in (0, 1)),
  weight_kg   text,
  document    text not null check (json_valid(document)),
  recorded_at text not null,
  recorded_by text
) strict;

create index check_in_by_client on check_in (client_id, on_day);

create view current_check_in as
  select * from check_in
  where withdrawn = 0
    and id not in (select supersedes from check_in where supersedes is not null);
