-- What a session tells of somebody's heart, and how near its forecast came: kept beside what it
-- came to, and forgotten with it. Null where it tells nothing.
alter table session_summary add column foreseen text
  check (foreseen is null or json_valid(foreseen));

create index session_summary_foreseen on session_summary (client_id, on_day)
  where foreseen is not null;

-- Those there are were worked out without it: they are worked out anew when they are asked for.
delete from session_summary;
