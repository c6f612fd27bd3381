-- Planned sessions as a calendar reads them: what the documents of programmes say, one row each.
-- A number is the client's for good, in whichever programme; what was dropped stays as GONE, so
-- that calendars that know it can be told. sequence is the programme's version at the last change.
create table planned_session (
  client_id     text not null references client (id),
  number        integer not null check (number >= 1),
  on_day        text not null,
  at_time       text,
  mode          text not null,
  minutes       integer not null,
  whole_minutes integer not null,
  low_percent   integer not null,
  high_percent  integer not null,
  state         text not null check (state in ('PLANNED', 'SKIPPED', 'GONE')),
  sequence      integer not null,
  changed_at    text not null,
  primary key (client_id, number)
) strict;

create index planned_session_by_day on planned_session (on_day);

insert into planned_session
select p.client_id,
  s.value ->> 'number',
  s.value ->> 'date',
  null,
  s.value ->> 'mode',
  coalesce(
    (select sum((b.value ->> 'times') * (st.value ->> 'seconds')) / 60
     from json_each(s.value, '$.own.outline.blocks') b, json_each(b.value, '$.steps') st
     where st.value ->> 'kind' in ('WORK', 'EASY', 'BURST')),
    w.value -> 'dose' ->> 'minutes'),
  coalesce(
    (select sum((b.value ->> 'times') * (st.value ->> 'seconds')) / 60
     from json_each(s.value, '$.own.outline.blocks') b, json_each(b.value, '$.steps') st),
    (w.value -> 'dose' ->> 'minutes') + 7
      + (p.document ->> '$.programme.plan.bounds.warmUpMinutes')
      + (p.document ->> '$.programme.plan.bounds.coolDownMinutes')),
  w.value -> 'dose' -> 'range' ->> 'low',
  w.value -> 'dose' -> 'range' ->> 'high',
  iif(s.value ->> 'skipped', 'SKIPPED', 'PLANNED'),
  p.version,
  p.recorded_at
from current_programme p,
  json_each(p.document, '$.programme.sessions') s,
  json_each(p.document, '$.programme.weeks') w
where w.key = (s.value ->> 'week') - 1;

-- Sessions as they were done, or not: appended; put right or taken back by a row that says so.
create table session_log (
  id            text primary key,
  client_id     text not null references client (id),
  supersedes    text unique references session_log (id),
  withdrawn     integer not null default 0 check (withdrawn in (0, 1)),
  number        integer,
  on_day        text not null,
  mode          text not null,
  done          integer not null check (done in (0, 1)),
  minutes       integer not null,
  bpm           integer,
  rate_kind     text,
  rpe           integer,
  voice         text,
  warnings      text not null check (json_valid(warnings)),
  symptoms      integer not null check (symptoms in (0, 1)),
  note          text not null,
  asked_low     integer not null,
  asked_high    integer not null,
  asked_minutes integer not null,
  asked_rpe_low integer not null,
  asked_rpe_high integer not null,
  resting_bpm   integer,
  maximum_bpm   integer,
  recorded_at   text not null,
  recorded_by   text
) strict;

create index session_log_by_client on session_log (client_id, on_day);
create index session_log_by_day on session_log (on_day);

create view current_session_log as
  select * from session_log
  where withdrawn = 0
    and id not in (select supersedes from session_log where supersedes is not null);

-- Addresses at which calendar programs fetch sessions. Only a digest of the token is kept: the
-- address is shown once. No client: the whole studio.
create table calendar_subscription (
  id          text primary key,
  client_id   text references client (id),
  name        text not null,
  digest      text not null unique,
  created_at  text not null,
  revoked_at  text,
  recorded_by text
) strict;

-- Calendars that were read in: when someone is busy, and never with what. No client: the studio.
create table busy_calendar (
  id          text primary key,
  client_id   text references client (id),
  name        text not null,
  read_at     text not null,
  removed_at  text,
  recorded_by text
) strict;

create table busy_time (
  busy_calendar_id text not null references busy_calendar (id),
  from_time        text not null,
  to_time          text not null
) strict;

create index busy_time_by_calendar on busy_time (busy_calendar_id);
