-- Recordings of clients' own devices, and what each session on the clock came to.

create table device_recording (
  id text primary key,
  client_id text not null references client (id),
  -- the session that it is of; null while it is looked at before it is kept
  live_session_id text references live_session (id),
  -- whether the session was recorded otherwise too, and this is its second recording
  second integer not null check (second in (0, 1)),
  file_name text not null,
  format text not null,
  -- of the file, so that the same one is known again
  digest text not null,
  mode text,
  -- null where neither file nor person said what read it: taken as a wrist
  source text,
  started_at text not null,
  seconds integer not null,
  samples blob not null,
  -- empty where no steps were recorded
  steps blob not null,
  one_foot integer not null check (one_foot in (0, 1)),
  -- headings of a CSV, and how it was read
  csv_signature text,
  csv_columns text check (csv_columns is null or json_valid(csv_columns)),
  recorded_at text not null,
  -- null for one that is looked at
  kept_at text,
  -- null while it stands
  withdrawn_at text,
  recorded_by text
) strict;

create index device_recording_by_client on device_recording (client_id, started_at);
create index device_recording_by_session on device_recording (live_session_id)
  where live_session_id is not null;
create index device_recording_looked_at on device_recording (recorded_at) where kept_at is null;
create index device_recording_by_headings on device_recording (csv_signature, kept_at)
  where csv_signature is not null;

-- The recording that a session is judged by; null where its own samples are.
alter table live_session add column device_recording_id text references device_recording (id);
-- Whether it was brought in whole, and nobody saw when its steps began.
alter table live_session add column brought_in integer not null default 0;
alter table live_session add column withdrawn_at text;

-- What a session came to: worked out when it is first asked for, and anew after something was added.
create table session_summary (
  live_session_id text primary key references live_session (id),
  client_id text not null references client (id),
  on_day text not null,
  -- whether a fall of the rate after an effort is in it
  falls integer not null check (falls in (0, 1)),
  summary text not null check (json_valid(summary)),
  recorded_by text
) strict, without rowid;

create index session_summary_by_client on session_summary (client_id, on_day);
create index session_summary_with_falls on session_summary (client_id, on_day) where falls = 1;

create trigger live_event_changes_summary after insert on live_event begin
  delete from session_summary where live_session_id = new.live_session_id;
end;

create trigger live_chunk_changes_summary after insert on live_chunk begin
  delete from session_summary where live_session_id = new.live_session_id;
end;

create trigger live_session_changes_summary
after update of device_recording_id, withdrawn_at on live_session begin
  delete from session_summary where live_session_id = new.id;
  update client_revision set revision = revision + 1 where client_id = new.client_id;
end;

-- The session in which a peak was seen.
alter table measured_maximum add column live_session_id text references live_session (id);
