-- What was brought in from elsewhere: seen first, taken as a whole, and to be taken back as a whole.
create table arrival (
    id        uuid                     primary key,
    kind      varchar(20)              not null,
    about     uuid,
    source    varchar(200)             not null,
    file      varchar(60)              not null,
    by_name   varchar(80)              not null,
    seen_at   timestamp with time zone not null,
    state     varchar(10)              not null,
    taken_at  timestamp with time zone,
    undone_at timestamp with time zone,
    undone_by varchar(80)              not null,
    told      varchar(500)             not null
);
create index arrival_by_age on arrival (seen_at);

create table arrived_row (
    arrival_id uuid         not null references arrival (id),
    place      int          not null,
    table_name varchar(40)  not null,
    row_key    varchar(120) not null,
    primary key (arrival_id, place)
);
create index arrived_row_by_key on arrived_row (arrival_id, table_name, row_key);

-- How tables from elsewhere are read, by what their columns are called: whoever said it once need not say it again.
create table known_table (
    heading varchar(64)              primary key,
    reading varchar(4000)            not null,
    said_at timestamp with time zone not null
);
