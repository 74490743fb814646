-- What the log of the bench is searched and put in order by, of the newest revision of each test.
alter table bench_test
    add column newest_number integer,
    -- the day of the test; the first day there is where nobody noted one
    add column listed_on date,
    add column stored_at timestamptz,
    add column method text,
    add column outcome text,
    -- piece, type and day in small letters
    add column words text;

update bench_test t
set newest_number = r.number,
    listed_on = coalesce((r.document ->> 'testedOn')::date, date '0001-01-01'),
    stored_at = r.stored_at,
    method = r.document ->> 'method',
    outcome = r.summary ->> 'outcome',
    words = lower(concat_ws(' ', r.document ->> 'piece', r.summary ->> 'cableName', r.document ->> 'cableKey',
        r.document ->> 'testedOn'))
from bench_test_revision r
where r.test_id = t.id
  and r.number = (select max(n.number) from bench_test_revision n where n.test_id = t.id);

create index bench_test_in_order on bench_test (operator_id, listed_on desc, stored_at desc, id desc) where removed_at is null;

-- How a plan is drawn small in lists; as good as new while its stamp says what it rests on now.
create table plan_sketch (
    plan_id uuid primary key references plan,
    stamp text not null,
    -- null where the plan cannot be assessed as it stands
    sketch jsonb,
    -- of the cable in its run and the one that was chosen, in small letters
    words text not null
);

create index plan_by_site on plan (operator_id, site, name, id) where deleted_at is null;
create index plan_by_change on plan (operator_id, updated_at desc, id desc) where deleted_at is null;
