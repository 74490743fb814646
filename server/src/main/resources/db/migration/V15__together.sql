-- Who has a plan open, at whichever server. A visit that was not seen for a while is over, whatever became of its server.
create table plan_visit (
    id uuid primary key,
    plan_id uuid not null references plan on delete cascade,
    operator_id uuid not null references operator,
    seen_at timestamptz not null default now()
);

create index plan_visit_of_plan on plan_visit (plan_id);

-- Every server listens, and tells those who have the plan open.
create function tell_plan_saved() returns trigger language plpgsql set search_path = public as $$
begin
    perform pg_notify('eskiz_plan_saved', concat_ws(' ', new.id, new.version, at_work('operator')));
    return null;
end $$;

create trigger plan_saved after update of version on plan
    for each row execute function tell_plan_saved();

-- So is a choice, which leaves the plan at its version.
create function tell_choice() returns trigger language plpgsql set search_path = public as $$
begin
    perform pg_notify('eskiz_plan_chosen', d.plan_id::text)
    from decision d where d.id = coalesce(to_jsonb(new) ->> 'decision_id', to_jsonb(new) ->> 'id')::uuid;
    return null;
end $$;

create trigger choice_made after insert on decision for each row execute function tell_choice();
create trigger choice_withdrawn after insert on decision_withdrawal for each row execute function tell_choice();

create function tell_plan_visited() returns trigger language plpgsql set search_path = public as $$
begin
    perform pg_notify('eskiz_plan_visited', coalesce(new.plan_id, old.plan_id)::text);
    return null;
end $$;

create trigger plan_visited after insert or delete on plan_visit
    for each row execute function tell_plan_visited();

-- Links to a plan for people who do not belong to its workshop. Looked up by the digest of what is in the link, before
-- anybody knows in which workshop.
create table plan_share (
    id uuid primary key,
    workshop_id uuid not null references workshop,
    plan_id uuid not null references plan on delete cascade,
    digest text not null unique,
    made_at timestamptz not null,
    done_by uuid references operator default at_work('operator'),
    ends_on date not null,
    taken_back_at timestamptz
);

create index plan_share_of_plan on plan_share (plan_id, made_at);
