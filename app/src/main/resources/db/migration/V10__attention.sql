-- How soon a model wants its pilot, as was last worked out: what waits stands first in the hangar.
alter table aircraft add column attention smallint default 1 not null;
create index aircraft_by_attention on aircraft (attention, id);
