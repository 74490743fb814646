-- Who made a plan, and who brought in a sweep: what one operator may have is counted by it.
alter table plan add column made_by uuid references operator;
alter table plan alter column made_by set default at_work('operator');
create index plan_made_by on plan (made_by) where deleted_at is null;

alter table bench_file
    add column made_by uuid references operator,
    add column bytes integer generated always as (octet_length(content)) stored;
alter table bench_file alter column made_by set default at_work('operator');
create index bench_file_made_by on bench_file (made_by) include (bytes);

-- Autosaves of long ago are thinned: of each day what each operator saved last, what the plan began as, and what a cable was
-- chosen in. Nothing else takes a revision away, and the server can do it by this function alone.
create function refuse_change_but_thinning() returns trigger language plpgsql as $$
begin
    if tg_op = 'DELETE' and current_user <> session_user then
        return old;
    end if;
    raise exception '% is append-only', tg_table_name;
end $$;

drop trigger plan_revision_is_final on plan_revision;
create trigger plan_revision_is_final before update or delete on plan_revision
    for each row execute function refuse_change_but_thinning();

create function thin_plan_revisions(until timestamptz, most integer) returns integer
    language sql security definer set search_path = public as $$
    with old as (
        select plan_id, version,
            row_number() over (
                partition by plan_id, done_by, (saved_at at time zone 'UTC')::date order by version desc) as nth,
            min(version) over (partition by plan_id) as began
        from plan_revision where saved_at < until),
    gone as (
        select o.plan_id, o.version from old o
        where o.nth > 1 and o.version > o.began
          and not exists (select from decision d where d.plan_id = o.plan_id and d.plan_version = o.version)
        limit most),
    deleted as (
        delete from plan_revision r using gone g where r.plan_id = g.plan_id and r.version = g.version returning 1)
    select count(*)::integer from deleted
$$;
