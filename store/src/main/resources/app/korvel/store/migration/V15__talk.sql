-- Talk checks, and what was decided about the rates learned from them.

create table talk_check (
  id text primary key,
  client_id text not null references client (id),
  supersedes text unique references talk_check (id),
  withdrawn integer not null default 0 check (withdrawn in (0, 1)),
  -- of the check, whatever corrects it
  check_id text not null,
  mode text not null,
  -- when the passage was begun
  at text not null,
  bpm integer not null,
  rate_by text not null,
  voice integer not null,
  hearing text not null,
  rpe integer,
  -- words, joined by spaces
  odd text not null,
  doubts text not null,
  live_session_id text references live_session (id),
  note text not null,
  recorded_at text not null,
  recorded_by text
) strict;

create index talk_check_by_client on talk_check (client_id, at);
create index talk_check_by_check on talk_check (check_id);
create index talk_check_by_session on talk_check (live_session_id);

create view current_talk_check as
  select * from talk_check as mine
  where withdrawn = 0
    and not exists (select 1 from talk_check as later where later.supersedes = mine.id);

create trigger talk_check_revises after insert on talk_check begin
  update client_revision set revision = revision + 1 where client_id = new.client_id;
end;

create table talk_act (
  id text primary key,
  client_id text not null references client (id),
  supersedes text unique references talk_act (id),
  withdrawn integer not null default 0 check (withdrawn in (0, 1)),
  -- null where it is about every mode
  mode text,
  kind text not null,
  -- which rate, with its numbers of that day
  which text,
  bpm integer,
  learned_bpm integer,
  plus_minus_bpm integer,
  checks integer,
  days integer,
  last_check text,
  check_id text,
  from_day text,
  reason text not null,
  recorded_at text not null,
  recorded_by text
) strict;

create index talk_act_by_client on talk_act (client_id, recorded_at);

create view current_talk_act as
  select * from talk_act as mine
  where withdrawn = 0
    and not exists (select 1 from talk_act as later where later.supersedes = mine.id);

create trigger talk_act_revises after insert on talk_act begin
  update client_revision set revision = revision + 1 where client_id = new.client_id;
end;

alter table studio add column learns_from_talk integer not null default 1;
