-- A case somebody practises on. What it is follows from level and seed; what was drawn is kept to know it again. Nothing of it is a batch.
create table practice_case (
    id              uuid                     primary key,
    maker           varchar(80)              not null,
    level           varchar(20)              not null,
    seed            bigint                   not null,
    drawn           varchar(2000)            not null,
    begun_at        timestamp with time zone not null,
    moves           varchar(8000)            not null,
    finished_at     timestamp with time zone,
    named           varchar(2000)            not null,
    held            boolean                  not null,
    remedy          varchar(80)              not null,
    certainty       double precision         not null,
    was_right       boolean                  not null,
    hazard_released boolean                  not null,
    false_alarms    int                      not null,
    held_in_vain    boolean                  not null,
    needless        int                      not null,
    points          int                      not null,
    form_key        varchar(60)              not null unique
);
create index practice_case_by_maker on practice_case (maker, begun_at);

-- One run of a drill: what was tapped, in its order.
create table practice_drill (
    id          uuid                     primary key,
    maker       varchar(80)              not null,
    drill       varchar(20)              not null,
    seed        bigint                   not null,
    begun_at    timestamp with time zone not null,
    tapped      varchar(2000)            not null,
    finished_at timestamp with time zone,
    slips       int                      not null,
    harmful     int                      not null
);
create index practice_drill_by_maker on practice_drill (maker, begun_at);

-- Who lets the owners see how practice goes.
create table practice_shown (
    maker varchar(80) primary key
);
