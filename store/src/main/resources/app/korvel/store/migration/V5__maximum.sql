-- A maximum that was reached, with its circumstances: appended; one put right or taken back is
-- superseded.
create table measured_maximum (
  id            text primary key,
  client_id     text not null references client (id),
  supersedes    text unique references measured_maximum (id),
  withdrawn     integer not null default 0 check (withdrawn in (0, 1)),
  mode          text not null,
  kind          text not null,
  protocol      text not null,
  grade         text not null,
  bpm           integer not null,
  measured_on   text not null,
  note          text not null,
  field_test_id text references field_test (id),
  recorded_at   text not null,
  recorded_by   text
) strict;

create index measured_maximum_by_client on measured_maximum (client_id, measured_on);

create view current_measured_maximum as
  select * from measured_maximum
  where withdrawn = 0
    and id not in (select supersedes from measured_maximum where supersedes is not null);

-- A field test that was begun; what happened in it is a series of events, and where it stands
-- follows from them and the time.
create table field_test (
  id                text primary key,
  client_id         text not null references client (id),
  protocol          text not null,
  mode              text not null,
  warmed_up_minutes integer not null,
  assured           text not null,
  started_at        text not null,
  recorded_by       text
) strict;

create index field_test_by_client on field_test (client_id, started_at);

create table field_test_event (
  id            text primary key,
  field_test_id text not null references field_test (id),
  place         integer not null,
  at            text not null,
  kind          text not null,
  bout          integer,
  bpm           integer,
  source        text,
  yes           integer check (yes in (0, 1)),
  of_event_id   text,
  words         text not null,
  recorded_at   text not null,
  recorded_by   text,
  unique (field_test_id, place)
) strict;

-- A race or another effort by its average rate, with the span it was held against.
create table effort (
  id             text primary key,
  client_id      text not null references client (id),
  supersedes     text unique references effort (id),
  withdrawn      integer not null default 0 check (withdrawn in (0, 1)),
  name           text not null,
  mode           text not null,
  average_bpm    integer not null,
  minutes        integer,
  done_on        text not null,
  resting_bpm    integer not null,
  maximum_bpm    integer not null,
  maximum_method text not null,
  recorded_at    text not null,
  recorded_by    text
) strict;

create index effort_by_client on effort (client_id, done_on);

create view current_effort as
  select * from effort
  where withdrawn = 0
    and id not in (select supersedes from effort where supersedes is not null);
