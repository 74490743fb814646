-- Those who work in a workshop, and how they come in. Alone on one machine nobody signs in; then the first operator is at work.
alter table operator
    add column password text,
    add column closed_at timestamptz,
    add constraint operator_name_length check (length(name) between 1 and 100);

create unique index operator_by_name on operator (lower(name)) where closed_at is null;

create table membership (
    workshop_id uuid not null references workshop,
    operator_id uuid not null references operator,
    role text not null check (role in ('GUEST', 'MEMBER', 'KEEPER')),
    since timestamptz not null,
    primary key (workshop_id, operator_id)
);

create index membership_of_operator on membership (operator_id);

insert into membership (workshop_id, operator_id, role, since)
select w.id, o.id, 'KEEPER', o.created_at from workshop w join operator o on o.id = w.id;

-- A link that lets one person in once: to join, or back in after a password was lost. Only a digest of its secret is kept.
create table one_time_link (
    id uuid primary key,
    digest text not null unique,
    workshop_id uuid not null references workshop,
    role text not null check (role in ('GUEST', 'MEMBER', 'KEEPER')),
    -- whose it is; null for somebody who is not here yet
    operator_id uuid references operator,
    made_by uuid references operator,
    made_at timestamptz not null,
    ends_at timestamptz not null,
    used_at timestamptz
);

create index one_time_link_of_workshop on one_time_link (workshop_id) where used_at is null;

-- Attempts to sign in that did not succeed, by a digest of the name and by the address they came from.
create table sign_in_attempts (
    subject text primary key,
    attempts integer not null check (attempts > 0),
    last_at timestamptz not null
);

-- Sessions, as the library that keeps them wants its tables.
create table spring_session (
    primary_id char(36) primary key,
    session_id char(36) not null,
    creation_time bigint not null,
    last_access_time bigint not null,
    max_inactive_interval integer not null,
    expiry_time bigint not null,
    principal_name varchar(100)
);

create unique index spring_session_by_id on spring_session (session_id);
create index spring_session_by_expiry on spring_session (expiry_time);
create index spring_session_by_principal on spring_session (principal_name);

create table spring_session_attributes (
    session_primary_id char(36) not null references spring_session on delete cascade,
    attribute_name varchar(200) not null,
    attribute_bytes bytea not null,
    primary key (session_primary_id, attribute_name)
);
