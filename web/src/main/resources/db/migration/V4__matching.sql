alter table workshop add column mix_at_celsius double default 40 not null;
alter table workshop add column match_within_kelvin double default 6 not null;
