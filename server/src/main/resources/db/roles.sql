-- Who may do what with the database it is run in, by a superuser and as often as one likes. The owner makes and changes
-- tables, the application reads and writes rows, and a restore only adds rows. None of them is a superuser.
do $$
declare
    found record;
begin
    for found in select unnest(array['eskiz_owner', 'eskiz_app', 'eskiz_restore']) as role loop
        if not exists (select from pg_roles where rolname = found.role) then
            execute format('create role %I', found.role);
        end if;
        execute format('alter role %I login nosuperuser nocreatedb nocreaterole noreplication nobypassrls', found.role);
    end loop;

    execute format('alter database %I owner to eskiz_owner', current_database());
    execute format('revoke all on database %I from public', current_database());
    execute format('grant connect on database %I to eskiz_app, eskiz_restore', current_database());

    -- what an earlier version's superuser made
    for found in
        select c.oid::regclass as name from pg_class c
        where c.relnamespace = 'public'::regnamespace and c.relkind in ('r', 'p')
          and not exists (select from pg_depend d where d.objid = c.oid and d.deptype = 'e')
    loop
        execute format('alter table %s owner to eskiz_owner', found.name);
    end loop;
    for found in
        select p.oid::regprocedure as name from pg_proc p
        where p.pronamespace = 'public'::regnamespace
          and not exists (select from pg_depend d where d.objid = p.oid and d.deptype = 'e')
    loop
        execute format('alter function %s owner to eskiz_owner', found.name);
    end loop;
end $$;

alter schema public owner to eskiz_owner;
revoke all on schema public from public;
grant usage on schema public to eskiz_app, eskiz_restore;

grant select, insert, update, delete on all tables in schema public to eskiz_app;
grant select, insert on all tables in schema public to eskiz_restore;
alter default privileges for role eskiz_owner in schema public
    grant select, insert, update, delete on tables to eskiz_app;
alter default privileges for role eskiz_owner in schema public grant select, insert on tables to eskiz_restore;

-- No request holds a connection, a lock or a transaction for longer than anybody waits for an answer.
alter role eskiz_app set statement_timeout = '20s';
alter role eskiz_app set lock_timeout = '5s';
alter role eskiz_app set idle_in_transaction_session_timeout = '30s';
