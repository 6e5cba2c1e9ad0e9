-- What a trial asks about, for what else differs; and the recipe that its arms are made from.
alter table trial add column factor_kind varchar(20) default 'OTHER' not null;
alter table trial add column recipe_id uuid;

-- An arm that is not made yet has a plan instead of a batch. Arms of one pot are cups of one batter.
alter table trial_arm alter column batch_id drop not null;
alter table trial_arm add column plan varchar(65536);
alter table trial_arm add column pot int default 0 not null;
