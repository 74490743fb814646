-- Pieces of cable that an operator owns.
create table piece (
    id uuid primary key,
    operator_id uuid not null references operator,
    demo boolean not null,
    version bigint not null check (version >= 0),
    label text not null check (length(trim(label)) > 0),
    -- null where nobody knows
    cable_type_id uuid references cable_type,
    length_m double precision not null check (length_m > 0),
    near_connector text references connector (key),
    near_gender text check (near_gender in ('PLUG', 'SOCKET')),
    far_connector text references connector (key),
    far_gender text check (far_gender in ('PLUG', 'SOCKET')),
    bought_on date,
    price numeric(12, 2) check (price >= 0),
    price_currency text check (price_currency ~ '^[A-Z]{3}$'),
    kept_at text,
    note text,
    retired_on date,
    created_at timestamptz not null,
    deleted_at timestamptz,
    check ((price is null) = (price_currency is null)),
    check ((near_connector is null) = (near_gender is null)),
    check ((far_connector is null) = (far_gender is null))
);

-- A label is printed and stuck on: it means one piece.
create unique index piece_label on piece (operator_id, lower(label)) where deleted_at is null;

create table outing (
    id uuid primary key,
    piece_id uuid not null references piece,
    taken_on date not null,
    taken_by_movement uuid not null,
    taken_to text,
    put_away_on date,
    put_away_by_movement uuid,
    wet boolean not null,
    frozen boolean not null,
    trodden boolean not null,
    check (put_away_on >= taken_on),
    check ((put_away_on is null) = (put_away_by_movement is null))
);

-- A piece is out in one place at a time.
create unique index outing_under_way on outing (piece_id) where put_away_on is null;
create index outing_of_piece on outing (piece_id, taken_on);
create index outing_taken_by on outing (taken_by_movement);
create index outing_put_away_by on outing (put_away_by_movement);

create table piece_change (
    id uuid primary key,
    piece_id uuid not null references piece,
    kind text not null check (kind in ('REPAIR', 'NEW_END', 'RETIRED', 'BACK_IN_SERVICE')),
    changed_on date not null,
    length_before_m double precision,
    length_after_m double precision,
    note text,
    stored_at timestamptz not null,
    check ((kind = 'NEW_END') = (length_after_m is not null)),
    check (length_after_m > 0 and length_after_m <= length_before_m)
);

create index piece_change_of_piece on piece_change (piece_id, changed_on);

create table kit (
    id uuid primary key,
    operator_id uuid not null references operator,
    demo boolean not null,
    version bigint not null check (version >= 0),
    name text not null check (length(trim(name)) > 0),
    note text,
    -- adapters that go with it, as they were worked out
    adapters jsonb not null check (jsonb_typeof(adapters) = 'array'),
    created_at timestamptz not null,
    deleted_at timestamptz
);

create table kit_piece (
    kit_id uuid not null references kit,
    position integer not null,
    piece_id uuid not null references piece,
    turned boolean not null,
    spare boolean not null,
    primary key (kit_id, position),
    unique (kit_id, piece_id)
);

-- A test may be of a piece, and a plan may be made of pieces.
alter table bench_test_revision add column piece_id uuid references piece;
create index bench_test_of_piece on bench_test_revision (piece_id) where piece_id is not null;

create table plan_piece (
    plan_id uuid not null references plan,
    piece_id uuid not null references piece,
    primary key (plan_id, piece_id)
);
create index plan_of_piece on plan_piece (piece_id);
