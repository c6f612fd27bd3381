-- What is appended is kept in one way: whatever a client has on record is corrected, withdrawn and
-- restored by a row that supersedes it, copied whole.

-- What disturbed a reading stands in its own row, words in order.
alter table resting_reading add column disturbances text not null default '';
update resting_reading set disturbances = (
  select group_concat(disturbance) from (
    select disturbance from resting_reading_disturbance
    where reading_id = resting_reading.id order by disturbance))
where id in (select reading_id from resting_reading_disturbance);
drop table resting_reading_disturbance;

-- Choices are undone like everything else: a first one is withdrawn.
alter table maximum_choice add column withdrawn integer not null default 0
  check (withdrawn in (0, 1));
drop view current_maximum_choice;
create view current_maximum_choice as
  select * from maximum_choice as mine
  where withdrawn = 0
    and not exists (select 1 from maximum_choice as later where later.supersedes = mine.id);

alter table scheme_choice add column withdrawn integer not null default 0
  check (withdrawn in (0, 1));
alter table scheme_choice add column supersedes text references scheme_choice (id);
update scheme_choice set supersedes = (
  select id from scheme_choice as before
  where before.client_id = scheme_choice.client_id and before.id < scheme_choice.id
  order by before.id desc limit 1);
create unique index scheme_choice_superseded on scheme_choice (supersedes);
drop view current_scheme_choice;
create view current_scheme_choice as
  select * from scheme_choice as mine
  where withdrawn = 0
    and not exists (select 1 from scheme_choice as later where later.supersedes = mine.id);
