-- Put away, not deleted: an archived client is kept whole and leaves the list.
alter table client add column archived_at text;

-- A reading kept by mistake is taken back by a row that supersedes it and says so.
alter table resting_reading
  add column withdrawn integer not null default 0 check (withdrawn in (0, 1));

drop view current_resting_reading;
create view current_resting_reading as
  select * from resting_reading
  where withdrawn = 0
    and id not in (select supersedes from resting_reading where supersedes is not null);

-- The instructor's own choice of an equation, appended; an empty method goes back to the default.
create table maximum_choice (
  id          text primary key,
  client_id   text not null references client (id),
  supersedes  text unique references maximum_choice (id),
  method      text,
  reason      text,
  chosen_on   text not null,
  recorded_at text not null,
  recorded_by text,
  check ((method is null) = (reason is null))
) strict;

create index maximum_choice_by_client on maximum_choice (client_id);

create view current_maximum_choice as
  select * from maximum_choice
  where id not in (select supersedes from maximum_choice where supersedes is not null);
