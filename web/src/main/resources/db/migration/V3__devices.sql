create table device (
    id            uuid        primary key,
    name          varchar(40) not null unique,
    kind          varchar(20) not null,
    token_hash    varchar(64) not null unique,
    simulated     boolean     not null,
    batch_id      uuid        references batch (id),
    spot          varchar(10),
    every_seconds int,
    on_change     double,
    last_sequence bigint      not null,
    retired       boolean     not null
);

-- The unique constraint makes a reading that is sent twice stand once.
create table device_reading (
    device_id   uuid                     not null references device (id),
    sequence    bigint                   not null,
    reading     double                   not null,
    measured_at timestamp with time zone not null,
    received_at timestamp with time zone not null,
    primary key (device_id, sequence)
);
create index device_reading_by_time on device_reading (device_id, measured_at);
