-- Programs that read batches and add lines to them: each with a token of its own, for whoever made it.
create table access_token (
    id           uuid                     primary key,
    name         varchar(40)              not null,
    token_hash   varchar(64)              not null unique,
    scopes       varchar(60)              not null,
    account_name varchar(40)              not null,
    made_at      timestamp with time zone not null,
    used_at      timestamp with time zone,
    ends_on      date,
    withdrawn_at timestamp with time zone
);
create index access_token_by_age on access_token (made_at);
