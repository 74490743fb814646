-- What belongs to a place rather than to one of its runs: its ducts, what is fed in phase, how it is bought and cut. The plans of a
-- site are those that carry its name.
create table site (
    id uuid primary key,
    workshop_id uuid not null references workshop,
    version bigint not null,
    name text not null check (length(name) between 1 and 120),
    document jsonb not null,
    changed_at timestamptz not null,
    done_by uuid references operator default at_work('operator'),
    unique (workshop_id, name)
);

-- Devices of the operator's own, as they stand in a run; what is put into a plan is a copy.
create table own_device (
    id uuid primary key,
    workshop_id uuid not null references workshop,
    version bigint not null,
    name text not null check (length(name) between 1 and 120),
    element jsonb not null,
    created_at timestamptz not null,
    deleted_at timestamptz,
    done_by uuid references operator default at_work('operator')
);

create index own_device_of_workshop on own_device (workshop_id, name);

alter table site enable row level security;
create policy of_the_workshop on site using (workshop_id = (select at_work('workshop')));
alter table own_device enable row level security;
create policy of_the_workshop on own_device using (workshop_id = (select at_work('workshop')));
