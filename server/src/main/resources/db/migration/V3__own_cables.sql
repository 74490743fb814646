-- Cables of the operator's own, and where their figures come from.
alter table cable_type add column retired_at timestamptz;

-- What an operator likes to have at the top.
create table favourite_cable (
    operator_id uuid not null references operator,
    cable_type_id uuid not null references cable_type,
    primary key (operator_id, cable_type_id)
);

alter table cable_type_revision drop constraint cable_type_revision_provenance_check;
alter table cable_type_revision add constraint cable_type_revision_provenance_check
    check (provenance in ('TYPICAL', 'SHEET', 'MEASURED', 'GUESSED'));

alter table cable_type_revision add column source_title text;
alter table cable_type_revision add column source_date date;

-- A rating is stated at a frequency and a temperature; what was stored so far is at 30 MHz and 40 °C.
alter table cable_type_revision rename column average_power_30mhz_w to average_power_w;
alter table cable_type_revision add column rated_at_mhz double precision not null default 30 check (rated_at_mhz > 0);
alter table cable_type_revision add column rated_at_c double precision not null default 40;

-- Sold by the metre where empty, else in whole lengths of so many metres: a reel, or cut lengths.
alter table cable_type_revision add column sold_in_m double precision check (sold_in_m > 0);

-- What came in with one file, so that it can be taken back.
create table catalogue_import (
    id uuid primary key,
    operator_id uuid not null references operator,
    file_name text not null,
    imported_at timestamptz not null,
    undone_at timestamptz
);

create table catalogue_import_item (
    import_id uuid not null references catalogue_import,
    cable_type_id uuid not null references cable_type,
    -- null for a type that was new
    revision_before integer,
    primary key (import_id, cable_type_id)
);

-- Connectors of the operator's own; what one costs may not be known.
alter table connector add column operator_id uuid references operator;
alter table connector add column retired_at timestamptz;
alter table connector alter column price drop not null;
alter table connector alter column price_currency drop not null;
alter table connector add constraint connector_price_and_currency check ((price is null) = (price_currency is null));

-- Where its mechanics and its ratings come from, where that is another place than its attenuation.
alter table cable_type_revision add column mechanics_provenance text
    check (mechanics_provenance in ('TYPICAL', 'SHEET', 'MEASURED', 'GUESSED'));
alter table cable_type_revision add column ratings_provenance text
    check (ratings_provenance in ('TYPICAL', 'SHEET', 'MEASURED', 'GUESSED'));
