-- Ids are UUIDv7 text, instants UTC ISO-8601 text, days local ISO dates.
-- recorded_by stays empty until people sign in.

create table studio (
  id          integer primary key check (id = 1),
  name        text not null,
  time_zone   text not null,
  created_at  text not null
) strict;

-- An editable head: every edit adds one to version.
create table client (
  id               text primary key,
  version          integer not null check (version >= 1),
  name             text not null,
  search_name      text not null,
  note             text not null,
  birth_date       text not null,
  sex              text not null,
  activity         text not null,
  heart_condition  integer not null check (heart_condition in (0, 1)),
  heart_failure    integer not null check (heart_failure in (0, 1)),
  beta_blocker     integer not null check (beta_blocker in (0, 1)),
  guardian_consent integer not null check (guardian_consent in (0, 1)),
  created_at       text not null,
  updated_at       text not null,
  recorded_by      text
) strict;

create index client_by_name on client (search_name);

-- Appended, never changed: a correction is a new row that supersedes one.
create table resting_reading (
  id             text primary key,
  client_id      text not null references client (id),
  supersedes     text unique references resting_reading (id),
  taken_at       text not null,
  bpm            integer not null check (bpm between 25 and 150),
  beats          integer,
  window_seconds integer,
  posture        text not null,
  source         text not null,
  minutes_rested integer not null,
  recorded_at    text not null,
  recorded_by    text,
  check ((beats is null) = (window_seconds is null))
) strict;

create index resting_reading_by_client on resting_reading (client_id, taken_at);

create table resting_reading_disturbance (
  reading_id  text not null references resting_reading (id),
  disturbance text not null,
  primary key (reading_id, disturbance)
) strict, without rowid;

create view current_resting_reading as
  select * from resting_reading
  where id not in (select supersedes from resting_reading where supersedes is not null);

-- A saved prescription is frozen: document holds it whole, as versioned JSON; the columns beside
-- it are for finding and listing.
create table prescription (
  id             text primary key,
  client_id      text not null references client (id),
  version        integer not null check (version >= 1),
  supersedes     text unique references prescription (id),
  status         text not null,
  made_on        text not null,
  mode           text not null,
  resting_bpm    integer,
  maximum_bpm    integer,
  maximum_method text,
  low_bpm        integer,
  high_bpm       integer,
  document       text not null check (json_valid(document)),
  recorded_at    text not null,
  recorded_by    text,
  unique (client_id, version)
) strict;

create view current_prescription as
  select * from prescription
  where id not in (select supersedes from prescription where supersedes is not null);
