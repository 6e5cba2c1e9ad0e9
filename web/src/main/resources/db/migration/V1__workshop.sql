create table workshop (
    id          int          primary key,
    name        varchar(80)  not null,
    place       varchar(80)  not null,
    zone        varchar(60)  not null,
    room_celsius double      not null
);

create table account (
    id               uuid                     primary key,
    name             varchar(40)              not null unique,
    display_name     varchar(60)              not null,
    password_hash    varchar(120)             not null,
    role             varchar(10)              not null,
    mass_unit        varchar(10)              not null,
    temperature_unit varchar(10)              not null,
    theme            varchar(10)              not null,
    active           boolean                  not null,
    created_at       timestamp with time zone not null
);

create table mould (
    id       uuid        primary key,
    name     varchar(60) not null unique,
    kind     varchar(20) not null,
    length   double      not null,
    width    double      not null,
    height   double      not null,
    cavities int         not null
);

create table vessel (
    id    uuid        primary key,
    name  varchar(60) not null unique,
    grams double      not null
);

create table recipe (
    id         uuid                     primary key,
    name       varchar(80)              not null,
    created_at timestamp with time zone not null
);

create table recipe_version (
    id         uuid                     primary key,
    recipe_id  uuid                     not null references recipe (id),
    number     int                      not null,
    plan       varchar(65536)           not null,
    created_at timestamp with time zone not null,
    created_by varchar(60)              not null,
    unique (recipe_id, number)
);

create table batch (
    id         uuid                     primary key,
    code       varchar(20)              not null unique,
    name       varchar(80)              not null,
    recipe_id  uuid                     references recipe (id),
    version    int                      not null,
    plan       varchar(65536)           not null,
    begun_at   timestamp with time zone not null,
    created_at timestamp with time zone not null,
    created_by varchar(60)              not null,
    client_key varchar(64)              unique
);

-- Append-only: an amendment is a new revision of the same line. Two people who amend the same revision meet at the unique
-- constraint, and the second is told.
create table log_revision (
    id          uuid                     primary key,
    batch_id    uuid                     not null references batch (id),
    line_id     uuid                     not null,
    revision    int                      not null,
    happened_at timestamp with time zone not null,
    recorded_at timestamp with time zone not null,
    recorded_by varchar(60)              not null,
    kind        varchar(30)              not null,
    entry       varchar(4000)            not null,
    withdrawn   boolean                  not null,
    client_key  varchar(80)              unique,
    unique (line_id, revision)
);
create index log_revision_of_batch on log_revision (batch_id, happened_at);

create table photo (
    id         uuid                     primary key,
    batch_id   uuid                     not null references batch (id),
    image      blob                     not null,
    thumbnail  blob                     not null,
    width      int                      not null,
    height     int                      not null,
    created_at timestamp with time zone not null
);
