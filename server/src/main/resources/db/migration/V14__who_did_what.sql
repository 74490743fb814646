-- For whom the server works on a connection: eskiz.workshop and eskiz.operator, set by it before anything else.
create function at_work(what text) returns uuid language sql stable as $$
    select nullif(current_setting('eskiz.' || what, true), '')::uuid
$$;

-- Whatever is only ever added to says who added it; what was added before there were names says nobody.
do $$
declare
    t text;
begin
    foreach t in array array['plan_revision', 'decision', 'decision_withdrawal', 'bench_test_revision', 'outing',
            'piece_change', 'cable_type_revision', 'connector_revision', 'catalogue_import'] loop
        execute format('alter table %I add column done_by uuid references operator', t);
        execute format('alter table %I alter column done_by set default at_work(''operator'')', t);
    end loop;
end $$;

alter table outing add column put_away_by uuid references operator;

create function say_who_put_away() returns trigger language plpgsql set search_path = public as $$
begin
    -- a backup that comes back says it itself
    new.put_away_by := case when new.put_away_on is not null then coalesce(at_work('operator'), new.put_away_by) end;
    return new;
end $$;

create trigger outing_put_away before insert or update of put_away_on on outing
    for each row execute function say_who_put_away();

alter table plan add column deleted_by uuid references operator;

create function say_who_deleted() returns trigger language plpgsql set search_path = public as $$
begin
    new.deleted_by := case when new.deleted_at is not null then at_work('operator') end;
    return new;
end $$;

create trigger plan_deleted before update of deleted_at on plan
    for each row when (old.deleted_at is distinct from new.deleted_at) execute function say_who_deleted();

-- What happened in a workshop. Saves of a plan by one operator within an hour are one of them; that the server made up its
-- demo is none.
create view happening with (security_invoker = true) as
select 'PLAN_SAVED' as kind, r.plan_id || ' ' || max(r.version) as id, p.workshop_id, max(r.saved_at) as at, r.done_by,
    r.plan_id as subject_id, p.name as subject, null as detail
from plan_revision r join plan p on p.id = r.plan_id
where not (p.demo and r.done_by is null)
group by r.plan_id, p.workshop_id, p.name, r.done_by, date_trunc('hour', r.saved_at)
union all
select 'PLAN_DELETED', p.id::text, p.workshop_id, p.deleted_at, p.deleted_by, p.id, p.name, null
from plan p where p.deleted_at is not null
union all
select 'CABLE_CHOSEN', d.id::text, d.workshop_id, d.decided_at, d.done_by, d.plan_id, p.name, d.cable_name
from decision d join plan p on p.id = d.plan_id
where not (p.demo and d.done_by is null)
union all
select 'CHOICE_WITHDRAWN', w.decision_id::text, d.workshop_id, w.withdrawn_at, w.done_by, d.plan_id, p.name, d.cable_name
from decision_withdrawal w join decision d on d.id = w.decision_id join plan p on p.id = d.plan_id
union all
select case when r.number = 1 then 'TEST_NOTED' else 'TEST_CORRECTED' end, r.test_id || ' ' || r.number, t.workshop_id,
    r.stored_at, r.done_by, r.test_id, coalesce(p.label, r.document ->> 'piece', ''), r.document ->> 'testedOn'
from bench_test_revision r join bench_test t on t.id = r.test_id left join piece p on p.id = r.piece_id
where t.removed_at is null and not (t.demo and r.done_by is null)
union all
select 'PIECE_TAKEN_OUT', o.id::text, p.workshop_id, o.taken_on at time zone 'UTC', o.done_by, p.id, p.label, o.taken_to
from outing o join piece p on p.id = o.piece_id
where not (p.demo and o.done_by is null)
union all
select 'PIECE_PUT_AWAY', o.id::text, p.workshop_id, o.put_away_on at time zone 'UTC', o.put_away_by, p.id, p.label, o.taken_to
from outing o join piece p on p.id = o.piece_id
where o.put_away_on is not null and not (p.demo and o.put_away_by is null)
union all
select 'PIECE_CHANGED', c.id::text, p.workshop_id, c.stored_at, c.done_by, p.id, p.label, c.kind
from piece_change c join piece p on p.id = c.piece_id
where not (p.demo and c.done_by is null)
union all
select 'CABLE_CHANGED', r.id::text, t.workshop_id, r.created_at, r.done_by, t.id, r.name, t.key
from cable_type_revision r join cable_type t on t.id = r.cable_type_id where t.workshop_id is not null
union all
select 'FILE_IMPORTED', i.id::text, i.workshop_id, i.imported_at, i.done_by, i.id, i.file_name, null
from catalogue_import i;

-- Behind the questions of the server, each of which asks for one workshop: the database shows no row of another.
alter function refuse_reserved_cable_key() security definer set search_path = public;
alter function refuse_reserved_connector_key() security definer set search_path = public;
alter function require_connectors_of_piece() set search_path = public;

do $$
declare
    t record;
begin
    for t in select c.table_name as name from information_schema.columns c join pg_tables p on p.tablename = c.table_name
             where p.schemaname = 'public' and c.table_schema = 'public' and c.column_name = 'workshop_id'
               and c.table_name not in ('membership', 'one_time_link') loop
        execute format('alter table %I enable row level security', t.name);
        execute format('create policy of_the_workshop on %I
            using (workshop_id is null or workshop_id = (select at_work(''workshop'')))', t.name);
    end loop;
end $$;
