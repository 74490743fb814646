-- A connector may be without an impedance of its own: bare terminals stand in that of their line.
alter table connector alter column impedance_ohm drop not null;

-- Where a mated pair is not of constant impedance: a short length of another one.
alter table connector add column bump_ohm double precision check (bump_ohm > 0);
alter table connector add column bump_mm double precision check (bump_mm >= 0);
alter table connector add constraint connector_bump_is_whole check ((bump_ohm is null) = (bump_mm is null));

-- What each revision of a connector said, from the first that was followed by another.
create table connector_revision (
    connector_id uuid not null references connector,
    number integer not null check (number >= 0),
    replaced_at timestamptz not null,
    said jsonb not null check (jsonb_typeof(said) = 'object'),
    primary key (connector_id, number)
);

-- What the attenuation of a type rests on besides its sheet.
alter table cable_type_revision add column shield_bore_mm double precision check (shield_bore_mm > 0);
alter table cable_type_revision add column copper_clad_steel boolean not null default false;
alter table cable_type_revision add column follows_points boolean not null default false;
alter table cable_type_revision add column wet_times double precision check (wet_times >= 1);
