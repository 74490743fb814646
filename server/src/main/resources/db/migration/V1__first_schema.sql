-- Who works here. One operator until sign-in exists; every row that an operator makes names one from the start.
create table operator (
    id uuid primary key,
    name text not null,
    created_at timestamptz not null,
    demo_loaded_at timestamptz
);

insert into operator (id, name, created_at)
values ('00000000-0000-4000-8000-000000000001', 'operator', now());

-- A cable type is known by its key, which never changes. Built-in types belong to no operator.
create table cable_type (
    id uuid primary key,
    operator_id uuid references operator,
    key text not null check (key ~ '^[a-z0-9]+(-[a-z0-9]+)*$' and length(key) <= 64),
    position integer not null,
    created_at timestamptz not null
);

create unique index cable_type_built_in_key on cable_type (key) where operator_id is null;
create unique index cable_type_own_key on cable_type (operator_id, key) where operator_id is not null;

create function refuse_reserved_cable_key() returns trigger language plpgsql as $$
begin
    if exists (select 1 from cable_type t
               where t.key = new.key and (t.operator_id is null) <> (new.operator_id is null)) then
        raise exception 'cable key % is taken: built-in keys are reserved', new.key using errcode = 'unique_violation';
    end if;
    return new;
end $$;

create trigger cable_type_key_reserved before insert or update on cable_type
    for each row execute function refuse_reserved_cable_key();

-- What a type is taken to be. Every change is a new revision; none is ever changed.
create table cable_type_revision (
    id uuid primary key,
    cable_type_id uuid not null references cable_type,
    number integer not null check (number >= 1),
    created_at timestamptz not null,
    name text not null,
    family text not null,
    provenance text not null check (provenance in ('TYPICAL', 'SHEET', 'MEASURED')),
    impedance_ohm double precision not null check (impedance_ohm between 1 and 2000),
    velocity_factor double precision not null check (velocity_factor between 0.3 and 1),
    balanced boolean not null,
    outer_diameter_mm double precision check (outer_diameter_mm > 0),
    mass_g_per_m double precision check (mass_g_per_m > 0),
    bend_radius_once_mm double precision check (bend_radius_once_mm > 0),
    bend_radius_repeated_mm double precision check (bend_radius_repeated_mm > 0),
    jacket text,
    centre_conductor text,
    shield text,
    dielectric text,
    min_install_c double precision,
    min_operating_c double precision,
    max_operating_c double precision,
    direct_burial boolean,
    sun_resistant boolean,
    flexing text check (flexing in ('FIXED', 'OCCASIONAL', 'REPEATED')),
    peak_voltage_v double precision check (peak_voltage_v > 0),
    average_power_30mhz_w double precision check (average_power_30mhz_w > 0),
    price_per_m numeric(12, 4) check (price_per_m >= 0),
    price_currency char(3) check (price_currency ~ '^[A-Z]{3}$'),
    price_is_sample boolean not null,
    priced_on date,
    note text,
    unique (cable_type_id, number),
    check ((price_per_m is null) = (price_currency is null))
);

create table attenuation_point (
    revision_id uuid not null references cable_type_revision,
    frequency_mhz double precision not null check (frequency_mhz > 0),
    attenuation_db_per_100m double precision not null check (attenuation_db_per_100m > 0),
    primary key (revision_id, frequency_mhz)
);

create table connector (
    id uuid primary key,
    key text not null unique,
    position integer not null,
    name text not null,
    impedance_ohm double precision not null check (impedance_ohm > 0),
    c1_db_per_sqrt_mhz double precision not null check (c1_db_per_sqrt_mhz >= 0),
    c2_db_per_mhz2 double precision not null check (c2_db_per_mhz2 >= 0),
    max_mhz double precision not null check (max_mhz > 0),
    peak_voltage_v double precision not null check (peak_voltage_v > 0),
    watertight boolean not null,
    fits_least_mm double precision,
    fits_most_mm double precision,
    price numeric(12, 4) not null check (price >= 0),
    price_currency char(3) not null check (price_currency ~ '^[A-Z]{3}$'),
    note text
);

-- The plan being worked on. Nothing queries inside the document.
create table plan (
    id uuid primary key,
    operator_id uuid not null references operator,
    site text not null,
    name text not null,
    version bigint not null check (version >= 0),
    document jsonb not null check (jsonb_typeof(document) = 'object'),
    demo boolean not null,
    created_at timestamptz not null,
    updated_at timestamptz not null,
    deleted_at timestamptz
);

create index plan_of_operator on plan (operator_id, site, name);

-- What a plan's document refers to, derived at every save.
create table plan_uses (
    plan_id uuid not null references plan,
    cable_type_id uuid not null references cable_type,
    primary key (plan_id, cable_type_id)
);

create table plan_revision (
    plan_id uuid not null references plan,
    version bigint not null,
    site text not null,
    name text not null,
    document jsonb not null,
    saved_at timestamptz not null,
    primary key (plan_id, version)
);

-- What was chosen, with the figures of that day. A decision is withdrawn, never changed.
create table decision (
    id uuid primary key,
    operator_id uuid not null references operator,
    plan_id uuid not null references plan,
    plan_version bigint not null,
    decided_at timestamptz not null,
    row_id text not null,
    cable_name text not null,
    reason text not null,
    figures jsonb not null,
    core_version text not null,
    foreign key (plan_id, plan_version) references plan_revision
);

create index decision_of_plan on decision (plan_id, decided_at);

create table decision_cable (
    decision_id uuid not null references decision,
    revision_id uuid not null references cable_type_revision,
    primary key (decision_id, revision_id)
);

create table decision_withdrawal (
    decision_id uuid primary key references decision,
    withdrawn_at timestamptz not null
);

-- History is only ever added to.
create function refuse_change() returns trigger language plpgsql as $$
begin
    raise exception '% is append-only', tg_table_name;
end $$;

create trigger cable_type_revision_is_final before update or delete on cable_type_revision
    for each row execute function refuse_change();
create trigger attenuation_point_is_final before update or delete on attenuation_point
    for each row execute function refuse_change();
create trigger plan_revision_is_final before update or delete on plan_revision
    for each row execute function refuse_change();
create trigger decision_is_final before update or delete on decision
    for each row execute function refuse_change();
create trigger decision_cable_is_final before update or delete on decision_cable
    for each row execute function refuse_change();
