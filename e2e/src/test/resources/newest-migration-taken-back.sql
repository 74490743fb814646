-- Takes back V8, so that a database looks as if an earlier version had made it.
update connector set impedance_ohm = 50 where impedance_ohm is null;
alter table connector alter column impedance_ohm set not null;
alter table connector drop column bump_ohm, drop column bump_mm;
drop table connector_revision;
alter table cable_type_revision
    drop column shield_bore_mm, drop column copper_clad_steel, drop column follows_points, drop column wet_times;
delete from flyway_schema_history where version = '8';
