-- What instruments wrote, as they wrote it.
create table bench_file (
    id uuid primary key,
    operator_id uuid not null references operator,
    file_name text not null,
    digest char(64) not null,
    content text not null,
    stored_at timestamptz not null,
    unique (operator_id, digest)
);

-- A test is never altered, only corrected by a new revision.
create table bench_test (
    id uuid primary key,
    operator_id uuid not null references operator,
    demo boolean not null,
    created_at timestamptz not null,
    removed_at timestamptz
);

create table bench_test_revision (
    test_id uuid not null references bench_test,
    number integer not null check (number >= 1),
    -- what was noted, as it was typed
    document jsonb not null check (jsonb_typeof(document) = 'object'),
    -- what it came to on the day it was stored
    summary jsonb not null check (jsonb_typeof(summary) = 'object'),
    cable_type_id uuid references cable_type,
    stored_at timestamptz not null,
    primary key (test_id, number)
);

create table bench_test_file (
    test_id uuid not null,
    number integer not null,
    file_id uuid not null references bench_file,
    foreign key (test_id, number) references bench_test_revision,
    primary key (test_id, number, file_id)
);

-- A measured type leads to the test that it was made of.
create table bench_made_type (
    test_id uuid not null references bench_test,
    cable_type_id uuid not null references cable_type,
    primary key (test_id, cable_type_id)
);

-- Who drives an instrument: one at a time, and only for a while.
create table instrument_lease (
    address text primary key,
    holder uuid not null,
    until timestamptz not null
);
