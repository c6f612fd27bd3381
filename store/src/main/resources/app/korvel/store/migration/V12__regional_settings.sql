-- The units and customs of the studio. Everything else is stored in SI whatever is chosen.
alter table studio add column weight_unit text not null default 'KG';
alter table studio add column height_unit text not null default 'CM';
alter table studio add column glucose_unit text not null default 'MMOL_L';
alter table studio add column distance_unit text not null default 'KM';
alter table studio add column clock text not null default 'H24';
alter table studio add column week_start text not null default 'MONDAY';
alter table studio add column paper text not null default 'A4';
