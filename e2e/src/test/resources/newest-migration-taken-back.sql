-- Takes the newest migration back, so that a start has something to migrate. A new migration gets its own here.
alter table connector drop constraint connector_price_and_currency;
alter table connector drop column operator_id, drop column retired_at;
alter table connector alter column price set not null, alter column price_currency set not null;
drop table catalogue_import_item, catalogue_import, favourite_cable;
alter table cable_type drop column retired_at;
alter table cable_type_revision drop column mechanics_provenance, drop column ratings_provenance,
    drop column source_title, drop column source_date, drop column rated_at_mhz, drop column rated_at_c,
    drop column sold_in_m;
alter table cable_type_revision rename column average_power_w to average_power_30mhz_w;
delete from flyway_schema_history where version = '3';
