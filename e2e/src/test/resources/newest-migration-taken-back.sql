-- Takes back V17, so that a database looks as if an earlier version had made it.
drop table passkey, passkey_challenge;
delete from flyway_schema_history where version = '17';
