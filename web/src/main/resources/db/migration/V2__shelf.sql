alter table workshop add column currency varchar(3) default 'EUR' not null;

alter table mould add column water double;
alter table mould add column retired boolean default false not null;

alter table vessel add column material varchar(30) default 'STAINLESS_STEEL' not null;
alter table vessel add column retired boolean default false not null;

-- What is put away stays: old recipes keep what they were made from.
create table own_fat (
    id             varchar(60) primary key,
    name           varchar(60) not null unique,
    like_id        varchar(60) not null,
    saponification double      not null,
    iodine         double      not null,
    animal         boolean     not null,
    retired        boolean     not null
);

create table own_fragrance (
    id        varchar(60)  primary key,
    name      varchar(60)  not null unique,
    cap       double,
    behaviour varchar(200) not null,
    allergens varchar(400) not null,
    note      varchar(500) not null,
    retired   boolean      not null
);

create table lot (
    id             uuid        primary key,
    kind           varchar(10) not null,
    substance      varchar(60) not null,
    label          varchar(40) not null unique,
    saponification double,
    per_kilogram   decimal(10, 2),
    use_by         date,
    retired        boolean     not null
);
