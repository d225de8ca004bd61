alter table flight add column goal varchar(300) default '' not null;
alter table flight add column throttle_percent double precision default 50 not null;
alter table flight add column sure varchar(10) default 'SURE' not null;
alter table flight add column phases varchar(20000) default '[]' not null;

alter table adjustment add column reference_phase varchar(40) default '' not null;
alter table adjustment add column phases varchar(20000) default '[]' not null;
alter table adjustment add column gauges varchar(20000) default '[]' not null;
alter table adjustment add column presets_take_up boolean default false not null;
