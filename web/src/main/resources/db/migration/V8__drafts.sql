-- A recipe under way, as it was typed: one for each maker and recipe, one for each new one. It is not a version and is never made from.
create table recipe_draft (
    id         uuid                     primary key,
    maker      varchar(40)              not null,
    recipe_id  uuid                     references recipe (id),
    name       varchar(200)             not null,
    form       varchar(400000)          not null,
    page       varchar(40)              not null,
    changed_at timestamp with time zone not null
);
create index recipe_draft_of_maker on recipe_draft (maker, changed_at);

-- What is put away leaves the lists and can be brought back; batches keep what they were made from.
alter table recipe add column retired boolean default false not null;
