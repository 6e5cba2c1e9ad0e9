alter table log_revision add column reason varchar(500) default '' not null;

-- Somebody signed in somewhere: a browser's cookie names the row and knows the secret. Without its row no session and no cookie is worth anything.
alter table account add column credential_version int default 1 not null;

create table sign_in (
    id                 uuid                     primary key,
    account_id         uuid                     not null references account (id),
    secret_hash        varchar(64)              not null,
    credential_version int                      not null,
    expires_at         timestamp with time zone not null
);
create index sign_in_of_account on sign_in (account_id);
