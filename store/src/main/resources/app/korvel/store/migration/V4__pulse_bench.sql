-- What the hand noticed besides the rate, and how long a pulse was tapped along; empty where it
-- was not noted.
alter table resting_reading add column tapped_seconds integer;
alter table resting_reading add column site text;
alter table resting_reading add column rhythm text;
alter table resting_reading add column strength text;

-- A tapped rate from before lengths were kept was held to be a full minute.
update resting_reading set tapped_seconds = 60 where source = 'TAP';

drop view current_resting_reading;
create view current_resting_reading as
  select * from resting_reading
  where withdrawn = 0
    and id not in (select supersedes from resting_reading where supersedes is not null);

-- A class counted together, before a session or after it. A later round after the same session
-- follows the one before it.
create table class_count (
  id             text primary key,
  moment         text not null,
  window_seconds integer not null,
  posture        text not null,
  settled        integer not null check (settled in (0, 1)),
  stopped_at     text,
  follows        text references class_count (id),
  recorded_at    text not null,
  recorded_by    text
) strict;

create table class_count_member (
  class_count_id text not null references class_count (id),
  client_id      text not null references client (id),
  place          integer not null,
  primary key (class_count_id, client_id)
) strict, without rowid;

-- What was entered for a person: appended; a mended number supersedes the one before it. The
-- second count, of a first odd value, stands beside the first.
create table class_count_entry (
  id             text primary key,
  class_count_id text not null references class_count (id),
  client_id      text not null references client (id),
  supersedes     text unique references class_count_entry (id),
  withdrawn      integer not null default 0 check (withdrawn in (0, 1)),
  again          integer not null check (again in (0, 1)),
  beats          integer not null,
  window_seconds integer not null,
  recorded_at    text not null,
  recorded_by    text
) strict;

create index class_count_entry_by_class on class_count_entry (class_count_id, client_id);

create view current_class_count_entry as
  select * from class_count_entry
  where withdrawn = 0
    and id not in (select supersedes from class_count_entry where supersedes is not null);

-- Practice counts. The pulse is made anew from its seed; what it came to is kept beside.
create table practice_try (
  id             text primary key,
  level          text not null,
  seed           integer not null,
  window_seconds integer not null,
  beats          integer not null,
  beats_played   integer not null,
  pulse_bpm      integer not null,
  played         text not null,
  said           text,
  recorded_at    text not null,
  recorded_by    text
) strict;
