-- A connector of one's own is changed by one writer at a time, and its price has a day.
alter table connector add column version bigint not null default 0;
alter table connector add column priced_on date;

-- What a file brought in connectors: what each said before, or null for one that was new.
create table catalogue_import_connector (
    import_id uuid not null references catalogue_import,
    connector_id uuid not null references connector,
    said_before jsonb,
    primary key (import_id, connector_id)
);
