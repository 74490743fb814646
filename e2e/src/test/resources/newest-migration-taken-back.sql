-- Takes back V14, so that a database looks as if an earlier version had made it.
drop view happening;
do $$
declare
    p record;
begin
    for p in select tablename, policyname from pg_policies where schemaname = 'public' loop
        execute format('drop policy %I on %I', p.policyname, p.tablename);
        execute format('alter table %I disable row level security', p.tablename);
    end loop;
    for p in select table_name from information_schema.columns where table_schema = 'public' and column_name = 'done_by' loop
        execute format('alter table %I drop column done_by', p.table_name);
    end loop;
end $$;
drop trigger outing_put_away on outing;
drop trigger plan_deleted on plan;
drop function say_who_put_away, say_who_deleted;
alter table outing drop column put_away_by;
alter table plan drop column deleted_by;
drop function at_work;
alter function refuse_reserved_cable_key() security invoker;
alter function refuse_reserved_connector_key() security invoker;
delete from flyway_schema_history where version = '14';
