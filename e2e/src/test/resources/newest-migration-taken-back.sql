-- Takes back V18, so that a database looks as if an earlier version had made it.
drop table site, own_device;
delete from flyway_schema_history where version = '18';
