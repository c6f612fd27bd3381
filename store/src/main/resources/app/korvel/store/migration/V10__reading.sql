-- Reading does not grow with the years.

-- Heads without reading the whole history: what supersedes a row is found by its own index.

drop view current_clearance;
create view current_clearance as
  select * from clearance as mine
  where withdrawn = 0
    and not exists (select 1 from clearance as later where later.supersedes = mine.id);

drop view current_guardian_consent;
create view current_guardian_consent as
  select * from guardian_consent as mine
  where withdrawn = 0
    and not exists (select 1 from guardian_consent as later where later.supersedes = mine.id);

drop view current_check_in;
create view current_check_in as
  select * from check_in as mine
  where withdrawn = 0
    and not exists (select 1 from check_in as later where later.supersedes = mine.id);

drop view current_resting_reading;
create view current_resting_reading as
  select * from resting_reading as mine
  where withdrawn = 0
    and not exists (select 1 from resting_reading as later where later.supersedes = mine.id);

drop view current_measured_maximum;
create view current_measured_maximum as
  select * from measured_maximum as mine
  where withdrawn = 0
    and not exists (select 1 from measured_maximum as later where later.supersedes = mine.id);

drop view current_effort;
create view current_effort as
  select * from effort as mine
  where withdrawn = 0
    and not exists (select 1 from effort as later where later.supersedes = mine.id);

drop view current_measured_threshold;
create view current_measured_threshold as
  select * from measured_threshold as mine
  where withdrawn = 0
    and not exists (select 1 from measured_threshold as later where later.supersedes = mine.id);

drop view current_session_log;
create view current_session_log as
  select * from session_log as mine
  where withdrawn = 0
    and not exists (select 1 from session_log as later where later.supersedes = mine.id);

drop view current_class_count_entry;
create view current_class_count_entry as
  select * from class_count_entry as mine
  where withdrawn = 0
    and not exists (select 1 from class_count_entry as later where later.supersedes = mine.id);

drop view current_maximum_choice;
create view current_maximum_choice as
  select * from maximum_choice as mine
  where not exists (select 1 from maximum_choice as later where later.supersedes = mine.id);

-- Of what has versions the last one holds.
drop view current_intake;
create view current_intake as
  select mine.* from client
  join intake as mine on mine.client_id = client.id
    and mine.version = (select max(version) from intake where client_id = client.id);

drop view current_prescription;
create view current_prescription as
  select mine.* from client
  join prescription as mine on mine.client_id = client.id
    and mine.version = (select max(version) from prescription where client_id = client.id);

drop view current_programme;
create view current_programme as
  select mine.* from client
  join programme as mine on mine.client_id = client.id
    and mine.version = (select max(version) from programme where client_id = client.id);

create index session_log_by_number on session_log (client_id, number);
create index session_log_symptoms on session_log (client_id, symptoms_at) where symptoms = 1;
create index check_in_by_moment on check_in (client_id, recorded_at);
create index check_in_told on check_in (client_id, recorded_at) where symptoms = 1 or changed = 1;
create index class_count_by_moment on class_count (recorded_at, id);
create index scheme_choice_by_scheme on scheme_choice (scheme);

-- A calendar's times by their end: those of long ago are passed over.
drop index busy_time_by_calendar;
create index busy_time_by_end on busy_time (busy_calendar_id, to_time);

-- How often something was said about a client: what was worked out of their records holds as long as
-- it stays the same. It is raised in the write itself, whoever writes.
create table client_revision (
  client_id text primary key references client (id),
  revision  integer not null
) strict, without rowid;

insert into client_revision select id, 1 from client;

create trigger client_added after insert on client begin
  insert into client_revision values (new.id, 1);
end;

create trigger client_changed after update on client begin
  update client_revision set revision = revision + 1 where client_id = new.id;
end;

create trigger intake_revises after insert on intake begin
  update client_revision set revision = revision + 1 where client_id = new.client_id;
end;

create trigger clearance_revises after insert on clearance begin
  update client_revision set revision = revision + 1 where client_id = new.client_id;
end;

create trigger guardian_consent_revises after insert on guardian_consent begin
  update client_revision set revision = revision + 1 where client_id = new.client_id;
end;

create trigger check_in_revises after insert on check_in begin
  update client_revision set revision = revision + 1 where client_id = new.client_id;
end;

create trigger resting_reading_revises after insert on resting_reading begin
  update client_revision set revision = revision + 1 where client_id = new.client_id;
end;

create trigger maximum_choice_revises after insert on maximum_choice begin
  update client_revision set revision = revision + 1 where client_id = new.client_id;
end;

create trigger measured_maximum_revises after insert on measured_maximum begin
  update client_revision set revision = revision + 1 where client_id = new.client_id;
end;

create trigger field_test_revises after insert on field_test begin
  update client_revision set revision = revision + 1 where client_id = new.client_id;
end;

create trigger effort_revises after insert on effort begin
  update client_revision set revision = revision + 1 where client_id = new.client_id;
end;

create trigger scheme_choice_revises after insert on scheme_choice begin
  update client_revision set revision = revision + 1 where client_id = new.client_id;
end;

create trigger measured_threshold_revises after insert on measured_threshold begin
  update client_revision set revision = revision + 1 where client_id = new.client_id;
end;

create trigger prescription_revises after insert on prescription begin
  update client_revision set revision = revision + 1 where client_id = new.client_id;
end;

create trigger programme_revises after insert on programme begin
  update client_revision set revision = revision + 1 where client_id = new.client_id;
end;

create trigger session_log_revises after insert on session_log begin
  update client_revision set revision = revision + 1 where client_id = new.client_id;
end;

create trigger field_test_event_revises after insert on field_test_event begin
  update client_revision set revision = revision + 1
  where client_id = (select client_id from field_test where id = new.field_test_id);
end;
