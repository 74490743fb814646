-- Takes back V10, so that a database looks as if an earlier version had made it.
drop table plan_sketch;
drop index plan_by_site, plan_by_change;
alter table bench_test
    drop column newest_number, drop column listed_on, drop column stored_at, drop column method, drop column outcome,
    drop column words;
delete from flyway_schema_history where version = '10';
