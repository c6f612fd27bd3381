-- The studio's own session outlines: editable heads. document holds the blocks, as versioned JSON.
create table outline (
  id          text primary key,
  version     integer not null check (version >= 1),
  name        text not null,
  document    text not null check (json_valid(document)),
  created_at  text not null,
  updated_at  text not null,
  archived_at text,
  recorded_by text
) strict;

-- A client's programme: appended, every change is a version of its own, so that each can be taken
-- back. document holds it whole, as versioned JSON.
create table programme (
  id              text primary key,
  client_id       text not null references client (id),
  prescription_id text not null references prescription (id),
  version         integer not null check (version >= 1),
  supersedes      text unique references programme (id),
  starts_on       text not null,
  ends_on         text not null,
  document        text not null check (json_valid(document)),
  recorded_at     text not null,
  recorded_by     text,
  unique (client_id, version)
) strict;

create view current_programme as
  select * from programme
  where id not in (select supersedes from programme where supersedes is not null);
