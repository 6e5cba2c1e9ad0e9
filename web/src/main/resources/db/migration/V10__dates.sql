-- A private address under which somebody's calendar finds the dates; of its token only the hash is kept.
create table calendar_feed (
    account    varchar(80)              primary key,
    token_hash varchar(64)              not null unique,
    made_at    timestamp with time zone not null
);

-- A batch that is to be made on a day.
create table planned_making (
    id        uuid                     primary key,
    recipe_id uuid                     not null references recipe (id),
    name      varchar(120)             not null,
    on_day    date                     not null,
    bars      int                      not null,
    goal      varchar(200)             not null,
    made_by   varchar(80)              not null,
    made_at   timestamp with time zone not null,
    form_key  varchar(120)             not null unique,
    put_away  boolean                  not null
);
create index planned_making_by_day on planned_making (put_away, on_day);
