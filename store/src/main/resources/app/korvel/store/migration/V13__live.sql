-- Sessions on the clock: what was asked for, what happened, and the heart rate as it came.

create table live_session (
  id text primary key,
  client_id text not null references client (id),
  -- of the planned session; null for one that was not planned
  number integer,
  source text not null,
  -- how much faster its clock goes than the studio's: 1 but for a simulated client
  speed integer not null,
  -- the fault of a simulated strap; null where a person wears one
  simulated text,
  opened_at text not null,
  plan text not null,
  -- whether it is still to be ended
  is_open integer not null,
  recorded_by text
) strict;

create index live_session_by_client on live_session (client_id, opened_at);
create index live_session_open on live_session (opened_at) where is_open = 1;

create trigger live_session_revises after insert on live_session begin
  update client_revision set revision = revision + 1 where client_id = new.client_id;
end;

create table live_event (
  id text primary key,
  live_session_id text not null references live_session (id),
  place integer not null,
  at text not null,
  kind text not null,
  leg integer,
  seconds integer,
  rpe integer,
  voice integer,
  beats integer,
  window_seconds integer,
  bpm integer,
  word text,
  of_event_id text,
  recorded_at text not null,
  recorded_by text,
  unique (live_session_id, place)
) strict;

-- Samples as they were handed in, and those that were put together since.
create table live_chunk (
  live_session_id text not null references live_session (id),
  sequence integer not null,
  samples blob not null,
  primary key (live_session_id, sequence)
) strict, without rowid;

create table live_recording (
  live_session_id text primary key references live_session (id),
  -- the sequences that are in it, as runs
  taken blob not null,
  samples blob not null
) strict, without rowid;

-- The log of a session that was recorded says which.
alter table session_log add column live_session_id text references live_session (id);
-- Seconds at each level, where a session is judged by its recording.
alter table session_log add column level_seconds text;
create index session_log_by_live on session_log (live_session_id) where live_session_id is not null;
