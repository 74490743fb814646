-- A connector of one's own is changed by one writer at a time, and its price has a day.
alter table connector add column version bigint not null default 0;
alter table connector add column priced_on date;

-- What a mated pair bears on average, at a frequency.
alter table connector add column average_power_w double precision check (average_power_w > 0);
alter table connector add column rated_at_mhz double precision check (rated_at_mhz > 0);
alter table connector add constraint connector_power_and_frequency
    check ((average_power_w is null) = (rated_at_mhz is null));

-- What a file brought in connectors: what each said before, or null for one that was new.
create table catalogue_import_connector (
    import_id uuid not null references catalogue_import,
    connector_id uuid not null references connector,
    said_before jsonb,
    primary key (import_id, connector_id)
);
