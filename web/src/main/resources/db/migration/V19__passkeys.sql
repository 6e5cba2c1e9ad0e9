-- What a phone, a computer or a key signs with instead of a password. Only its public half is kept.
create table passkey (
    id              uuid                        primary key,
    account_id      uuid                        not null references account (id),
    credential      varchar(1400)               not null unique,
    label           varchar(60)                 not null,
    public_key      varbinary(2000)             not null,
    attestation     varbinary(8000)             not null,
    client_data     varbinary(2000)             not null,
    signature_count bigint                      not null,
    verified        boolean                     not null,
    may_be_copied   boolean                     not null,
    is_copied       boolean                     not null,
    made_at         timestamp(9) with time zone not null,
    used_at         timestamp(9) with time zone
);
create index passkey_of_account on passkey (account_id);

-- Whoever wants so is asked for a passkey beside the password.
alter table account add column passkey_too boolean default false not null;
