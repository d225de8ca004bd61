-- A revision's header is read without its document.
create table revision_document (
  revision_id bigint primary key references revision (id),
  setup varchar(1000000) not null
);
insert into revision_document (revision_id, setup) select id, setup from revision;
alter table revision drop column setup;

-- The first revision whose trims mean the same as this one's; worked out once, when it is saved.
alter table revision add column trims_hold_since int;
create index revision_parting on revision (aircraft_id, trims_hold_since);

create index flight_by_day on flight (aircraft_id, flown_on desc, id desc);
create index flight_by_revision on flight (aircraft_id, revision_number);
create index bench_answer_of on bench_answer (aircraft_id, id desc);
create index part_change_of on part_change (aircraft_id, id desc);

alter table flight alter column phases set data type varchar(1000000);
alter table adjustment alter column phases set data type varchar(1000000);
alter table adjustment alter column gauges set data type varchar(1000000);
alter table adjustment alter column verified set data type varchar(1000000);

-- The same request sent twice does its work once: it carries a key.
alter table aircraft add column request_key varchar(64);
alter table aircraft add constraint aircraft_once unique (request_key);
alter table flight add column request_key varchar(64);
alter table flight add constraint flight_once unique (aircraft_id, request_key);
alter table part_change add column request_key varchar(64);
alter table part_change add constraint part_change_once unique (aircraft_id, request_key);

-- At most one of each is open for a model.
update adjustment set state = 'ABANDONED', closed_at = current_timestamp
  where state = 'OPEN' and id not in (
    select max(id) from adjustment where state = 'OPEN' group by aircraft_id);
alter table adjustment add column open_for bigint
  generated always as (case when state = 'OPEN' then aircraft_id end);
alter table adjustment add constraint one_open_adjustment unique (open_for);
update bench_set_up set state = 'CLOSED', closed_at = current_timestamp
  where state = 'OPEN' and id not in (
    select max(id) from bench_set_up where state = 'OPEN' group by aircraft_id);
alter table bench_set_up add column open_for bigint
  generated always as (case when state = 'OPEN' then aircraft_id end);
alter table bench_set_up add constraint one_open_set_up unique (open_for);
