-- Rooms: several sessions by one clock; straps that change hands; efforts that end to recover.

create table room (
  id text primary key,
  -- what all of them do; no steps where each does their own session
  plan text not null,
  -- how much faster its clock goes than the studio's: 1 but for simulated clients
  speed integer not null,
  opened_at text not null,
  -- whether it is still to be ended
  is_open integer not null,
  recorded_by text
) strict;

create index room_by_time on room (opened_at);
create index room_open on room (opened_at) where is_open = 1;

-- Who is in a room, by the place of their lane.
create table room_member (
  live_session_id text primary key references live_session (id),
  room_id text not null references room (id),
  place integer not null,
  -- what the wall shows; null for the name
  nickname text,
  -- whether the wall shows the rate
  wall_rate integer not null,
  recorded_by text,
  unique (room_id, place)
) strict;

create table room_event (
  id text primary key,
  room_id text not null references room (id),
  place integer not null,
  at text not null,
  kind text not null,
  leg integer,
  seconds integer,
  word text,
  of_event_id text,
  recorded_at text not null,
  recorded_by text,
  unique (room_id, place)
) strict;

-- A strap that may be somebody else's, one that was swapped, and since when.
alter table live_event add column unsure integer;
alter table live_event add column other_session_id text;
alter table live_event add column from_at text;
create index live_event_strap on live_event (word, at) where kind = 'STRAP_GIVEN';
create index live_event_recovery on live_event (live_session_id) where kind = 'EFFORT_ENDED';
