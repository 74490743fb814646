-- Keys that stay in somebody's device, by which they sign in without a password.
create table passkey (
    id uuid primary key,
    operator_id uuid not null references operator on delete cascade,
    name text not null check (length(name) between 1 and 100),
    credential_id bytea not null unique,
    -- authenticator, credential and public key, as WebAuthn writes them
    credential bytea not null,
    signature_count bigint not null,
    made_at timestamptz not null,
    used_at timestamptz
);

create index passkey_of_operator on passkey (operator_id);

-- What a device is asked to sign: once, and within a few minutes. Whose it is says who makes a key by it; nobody's lets somebody in.
create table passkey_challenge (
    challenge bytea primary key,
    operator_id uuid references operator on delete cascade,
    ends_at timestamptz not null
);

create index passkey_challenge_by_end on passkey_challenge (ends_at);
