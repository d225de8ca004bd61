alter table flight add column turns_differ boolean default false not null;

alter table adjustment add column verified varchar(20000) default '[]' not null;

alter table revision add column corrects boolean default false not null;

alter table adjustment add column controls varchar(60) default '["ROLL","PITCH","YAW"]' not null;
