-- A balance point that nobody typed is empty. The page used to offer 0 where it knew none.
alter table flight alter column cg_mm drop not null;
update flight set cg_mm = null where cg_mm = 0;
