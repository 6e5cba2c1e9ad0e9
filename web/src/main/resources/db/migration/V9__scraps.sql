-- Soap that is kept to be melted down again. What is of a batch follows from its log; what is of no batch here was typed on the shelf.
create table scrap (
    id         varchar(80)              primary key,
    batch_id   uuid                     references batch (id),
    code       varchar(20)              not null,
    name       varchar(120)             not null,
    colour     varchar(30)              not null,
    grams      double                   not null,
    kept_at    timestamp with time zone not null,
    superfat   double                   not null,
    spread     double                   not null,
    main_fat   varchar(60)              not null,
    retired    boolean                  not null
);
create index scrap_of_batch on scrap (batch_id);

-- What a batch took of it: its ancestry.
create table scrap_use (
    id        varchar(120) primary key,
    batch_id  uuid         not null references batch (id),
    name      varchar(80)  not null,
    scrap_id  varchar(80)  not null,
    source    varchar(80)  not null,
    grams     double       not null
);
create index scrap_use_of_batch on scrap_use (batch_id);
create index scrap_use_of_scrap on scrap_use (scrap_id);
create index scrap_use_of_source on scrap_use (source);
