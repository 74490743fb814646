-- Takes back V16, so that a database looks as if an earlier version had made it.
alter table plan drop column made_by;
alter table bench_file drop column made_by, drop column bytes;
drop function thin_plan_revisions;
drop trigger plan_revision_is_final on plan_revision;
create trigger plan_revision_is_final before update or delete on plan_revision
    for each row execute function refuse_change();
drop function refuse_change_but_thinning;
delete from flyway_schema_history where version = '16';
