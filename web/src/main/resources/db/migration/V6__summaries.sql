-- Counts what was written to a batch's log: what was read at one version need not be read again.
alter table batch add column log_version int default 0 not null;

-- What lists and the rack show of a batch, written with its log. All of it follows from plan and log and can be worked out anew.
create table batch_summary (
    batch_id            uuid                     primary key references batch (id),
    log_version         int                      not null,
    made_with           int                      not null,
    made_at             timestamp with time zone not null,
    problem             varchar(300)             not null,
    code                varchar(20)              not null,
    name                varchar(80)              not null,
    begun_at            timestamp with time zone not null,
    life                varchar(10)              not null,
    held                boolean                  not null,
    held_since          timestamp with time zone,
    poured_at           timestamp with time zone not null,
    unmoulded_at        timestamp with time zone not null,
    ready_at            timestamp with time zone not null,
    next_due            timestamp with time zone,
    tasks               varchar(1000)            not null,
    mould               varchar(60)              not null,
    fat_grams           double                   not null,
    bars                int                      not null,
    last_bar_grams      double,
    lye_celsius         double,
    fats_celsius        double,
    lye_is_in           boolean                  not null,
    was_poured          boolean                  not null,
    lye_vessel          varchar(60)              not null,
    fats_vessel         varchar(60)              not null,
    words               varchar(2000)            not null,
    leading             varchar(80)              not null,
    leading_probability double                   not null,
    hazard              varchar(80)              not null,
    hazard_probability  double                   not null,
    look                varchar(400)             not null
);
create index batch_summary_by_age on batch_summary (begun_at, batch_id);
create index batch_summary_by_state on batch_summary (problem, life, held);
create index batch_summary_by_life on batch_summary (life, begun_at);
create index batch_summary_held on batch_summary (held);
create index batch_summary_due on batch_summary (next_due);
