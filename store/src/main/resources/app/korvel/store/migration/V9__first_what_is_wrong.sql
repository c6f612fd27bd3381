-- A guardian's consent is a record of its own: who gave it, and when. Appended; one put on record by
-- mistake is taken back by a row that supersedes it.
create table guardian_consent (
  id          text primary key,
  client_id   text not null references client (id),
  supersedes  text unique references guardian_consent (id),
  withdrawn   integer not null default 0 check (withdrawn in (0, 1)),
  given_by    text not null,
  given_on    text not null,
  note        text not null,
  recorded_at text not null,
  recorded_by text
) strict;

create index guardian_consent_by_client on guardian_consent (client_id);

create view current_guardian_consent as
  select * from guardian_consent
  where withdrawn = 0
    and id not in (select supersedes from guardian_consent where supersedes is not null);

-- Until now it was a tick of the intake; who gave it was not asked. The row takes the id of the
-- intake, which is unique here as well.
insert into guardian_consent (id, client_id, given_by, given_on, note, recorded_at, recorded_by)
  select id, client_id, 'A parent or guardian', substr(recorded_at, 1, 10),
    'Ticked in the intake; who gave it was not asked then.', recorded_at, recorded_by
  from current_intake
  where guardian_consent = 1;

alter table intake drop column guardian_consent;

-- A reading far off those before it that day counts only where somebody said that it is usual.
alter table resting_reading
  add column as_usual integer not null default 0 check (as_usual in (0, 1));

drop view current_resting_reading;
create view current_resting_reading as
  select * from resting_reading
  where withdrawn = 0
    and id not in (select supersedes from resting_reading where supersedes is not null);

-- When a symptom was logged: a log that is corrected stays as put on record when it was, and its
-- symptom counts from when it was said.
alter table session_log add column symptoms_at text;
update session_log set symptoms_at = recorded_at where symptoms = 1;

drop view current_session_log;
create view current_session_log as
  select * from session_log
  where withdrawn = 0
    and id not in (select supersedes from session_log where supersedes is not null);

-- The latest choice is the one made last, whatever the clock that made the ids said.
drop view current_scheme_choice;
drop index scheme_choice_by_client;
create index scheme_choice_by_client on scheme_choice (client_id, recorded_at);
create view current_scheme_choice as
  select * from scheme_choice as mine
  where not exists (
    select 1 from scheme_choice as later
    where later.client_id = mine.client_id
      and (later.recorded_at > mine.recorded_at
        or later.recorded_at = mine.recorded_at and later.rowid > mine.rowid));

-- What was made for another birth date has to say so.
alter table client add column birth_date_corrected_at text;

create index field_test_event_of on field_test_event (of_event_id);
create index check_in_by_day on check_in (on_day);
