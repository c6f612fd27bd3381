-- Tests: what was chosen, what happened, and the heart rate as it came; and results of a laboratory.

create table assessment (
  id text primary key,
  -- null for practice on somebody who is not there
  client_id text references client (id),
  kind text not null,
  mode text not null,
  -- how much faster its clock goes than the studio's: 1 but for a simulated client
  speed integer not null,
  -- who is simulated, and how; null where a person is tested
  simulated text,
  opened_at text not null,
  plan text not null check (json_valid(plan)),
  -- whether it is still to be closed
  is_open integer not null check (is_open in (0, 1)),
  recorded_by text,
  check (client_id is not null or simulated is not null)
) strict;

create index assessment_by_client on assessment (client_id, opened_at);
create index assessment_open on assessment (opened_at) where is_open = 1;

create trigger assessment_revises after insert on assessment when new.client_id is not null begin
  update client_revision set revision = revision + 1 where client_id = new.client_id;
end;

create trigger assessment_closes after update of is_open on assessment
when new.client_id is not null begin
  update client_revision set revision = revision + 1 where client_id = new.client_id;
end;

create table assessment_event (
  id text primary key,
  assessment_id text not null references assessment (id),
  place integer not null,
  at text not null,
  kind text not null,
  bpm integer,
  beats integer,
  window_seconds integer,
  systolic integer,
  diastolic integer,
  -- when the cuff was started
  from_at text,
  -- a stage, a voice, repetitions or an RPE, by its kind
  number integer,
  yes integer,
  word text,
  sign text,
  words text,
  of_event_id text,
  recorded_at text not null,
  recorded_by text,
  unique (assessment_id, place)
) strict;

-- Samples as they were handed in, and those that were put together since.
create table assessment_chunk (
  assessment_id text not null references assessment (id),
  sequence integer not null,
  samples blob not null,
  primary key (assessment_id, sequence)
) strict, without rowid;

create table assessment_recording (
  assessment_id text primary key references assessment (id),
  taken blob not null,
  samples blob not null
) strict, without rowid;

-- The studio's own protocols of a graded test: editable heads.
create table graded_protocol (
  id text primary key,
  version integer not null check (version >= 1),
  name text not null,
  document text not null check (json_valid(document)),
  created_at text not null,
  updated_at text not null,
  archived_at text,
  recorded_by text
) strict;

-- What a laboratory measured besides maximum and thresholds: appended.
create table laboratory_uptake (
  id text primary key,
  client_id text not null references client (id),
  supersedes text unique references laboratory_uptake (id),
  withdrawn integer not null default 0 check (withdrawn in (0, 1)),
  mode text not null,
  -- tenths of ml/kg/min
  vo2max_tenths integer not null,
  measured_on text not null,
  laboratory text not null,
  note text not null,
  recorded_at text not null,
  recorded_by text
) strict;

create index laboratory_uptake_by_client on laboratory_uptake (client_id, measured_on);

create view current_laboratory_uptake as
  select * from laboratory_uptake as mine
  where withdrawn = 0
    and not exists (select 1 from laboratory_uptake as later where later.supersedes = mine.id);

create trigger laboratory_uptake_revises after insert on laboratory_uptake begin
  update client_revision set revision = revision + 1 where client_id = new.client_id;
end;

-- What came of a test, where it is kept with others.
alter table measured_maximum add column assessment_id text references assessment (id);
alter table measured_threshold add column assessment_id text references assessment (id);
alter table measured_threshold add column grade text;
alter table talk_check add column assessment_id text references assessment (id);
create index talk_check_by_assessment on talk_check (assessment_id) where assessment_id is not null;
