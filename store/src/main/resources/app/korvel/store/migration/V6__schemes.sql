-- What the studio has chosen: its scheme of bands and its 0-10 scale of effort.
alter table studio add column version integer not null default 1 check (version >= 1);
alter table studio add column scheme text not null default 'voice-ladder';
alter table studio add column rpe_family text not null default 'RATIO';

-- The studio's own schemes: editable heads. document holds the bands, as versioned JSON.
create table scheme (
  id          text primary key,
  version     integer not null check (version >= 1),
  name        text not null,
  document    text not null check (json_valid(document)),
  created_at  text not null,
  updated_at  text not null,
  archived_at text,
  recorded_by text
) strict;

-- Which scheme a client's bands are shown in: appended, the latest one holds; empty is the studio's.
create table scheme_choice (
  id          text primary key,
  client_id   text not null references client (id),
  scheme      text,
  chosen_on   text not null,
  recorded_at text not null,
  recorded_by text
) strict;

create index scheme_choice_by_client on scheme_choice (client_id, id);

create view current_scheme_choice as
  select * from scheme_choice as mine
  where not exists (
    select 1 from scheme_choice as later
    where later.client_id = mine.client_id and later.id > mine.id);

-- Thresholds that were measured: appended; those taken back are superseded.
create table measured_threshold (
  id          text primary key,
  client_id   text not null references client (id),
  supersedes  text unique references measured_threshold (id),
  withdrawn   integer not null default 0 check (withdrawn in (0, 1)),
  mode        text not null,
  kind        text not null,
  lower_bpm   integer not null,
  upper_bpm   integer not null,
  measured_on text not null,
  note        text not null,
  recorded_at text not null,
  recorded_by text
) strict;

create index measured_threshold_by_client on measured_threshold (client_id, measured_on);

create view current_measured_threshold as
  select * from measured_threshold
  where withdrawn = 0
    and id not in (select supersedes from measured_threshold where supersedes is not null);
