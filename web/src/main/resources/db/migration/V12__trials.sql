-- A question asked of soap: what is compared with what.
create table trial (
    id       uuid                     primary key,
    question varchar(300)             not null,
    factor   varchar(80)              not null,
    coded    boolean                  not null,
    made_by  varchar(80)              not null,
    made_at  timestamp with time zone not null,
    form_key varchar(120)             not null unique,
    put_away boolean                  not null
);

-- One of the things compared: a batch, or one part of it. The first is what the others are compared with.
create table trial_arm (
    id       uuid         primary key,
    trial_id uuid         not null references trial (id),
    place    int          not null,
    batch_id uuid         not null references batch (id),
    portion  varchar(120) not null,
    name     varchar(160) not null
);
create index trial_arm_by_trial on trial_arm (trial_id, place);
create index trial_arm_by_batch on trial_arm (batch_id);
