-- Where a model is: in use, set aside, or deleted with a way back for a month.
alter table aircraft add column place varchar(12) default 'IN_USE' not null;
alter table aircraft add column place_since timestamp with time zone;
