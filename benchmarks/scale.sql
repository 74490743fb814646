-- Fills a database with copies of the demo: psql -v plans=625 -v tests=3125 -v pieces=312 -v types=125. Asked again with more, it adds what is missing.
insert into plan
select (jsonb_populate_record(null::plan, to_jsonb(p) || jsonb_build_object(
    'id', md5('plan' || n)::uuid, 'name', p.name || ' ' || n, 'site', p.site || ' ' || n % 400, 'demo', false))).*
from generate_series(1, :plans) n
    cross join lateral (select * from plan where demo order by id offset n % 6 limit 1) p
on conflict do nothing;

insert into bench_test
select (jsonb_populate_record(null::bench_test, to_jsonb(t) || jsonb_build_object(
    'id', md5('test' || n)::uuid, 'demo', false, 'listed_on', date '2020-01-01' + n % 2000))).*
from generate_series(1, :tests) n
    cross join lateral (select * from bench_test where demo order by id limit 1) t
on conflict do nothing;

insert into piece
select (jsonb_populate_record(null::piece, to_jsonb(p) || jsonb_build_object(
    'id', md5('piece' || n)::uuid, 'label', p.label || ' ' || n, 'demo', false))).*
from generate_series(1, :pieces) n
    cross join lateral (select * from piece where demo order by id offset n % 5 limit 1) p
on conflict do nothing;

insert into bench_test_revision (test_id, number, document, summary, cable_type_id, piece_id, stored_at)
select md5('test' || n)::uuid, r.number, r.document, r.summary, r.cable_type_id, md5('piece' || n % :pieces + 1)::uuid, r.stored_at
from generate_series(1, :tests) n
    cross join lateral (
        select r.* from bench_test_revision r join bench_test t on t.id = r.test_id
        where t.demo order by t.id, number limit 1) r
on conflict do nothing;

insert into outing
select (jsonb_populate_record(null::outing, to_jsonb(o) || jsonb_build_object(
    'id', md5('outing' || n || ' ' || k)::uuid, 'piece_id', md5('piece' || n)::uuid,
    'taken_on', date '2022-01-01' + 10 * k, 'taken_by_movement', md5('out' || n || ' ' || k)::uuid,
    'put_away_on', date '2022-01-02' + 10 * k, 'put_away_by_movement', md5('back' || n || ' ' || k)::uuid))).*
from generate_series(1, :pieces) n
    cross join generate_series(1, 20) k
    cross join lateral (select * from outing where put_away_on is not null order by id limit 1) o
on conflict do nothing;

-- types of one's own, each a copy of one that came with Eskiz
insert into cable_type (id, workshop_id, key, position, created_at)
select md5('type' || n)::uuid, (select id from operator limit 1), 'own-' || n, 1000 + n, now()
from generate_series(1, :types) n
on conflict do nothing;

insert into cable_type_revision
select (jsonb_populate_record(null::cable_type_revision, to_jsonb(r) || jsonb_build_object(
    'id', md5('revision' || n)::uuid, 'cable_type_id', md5('type' || n)::uuid, 'number', 1, 'name', r.name || ' own ' || n))).*
from generate_series(1, :types) n
    cross join lateral (
        select r.* from cable_type_revision r join cable_type t on t.id = r.cable_type_id
        where t.workshop_id is null order by t.position offset n % 24 limit 1) r
on conflict do nothing;

insert into attenuation_point
select (jsonb_populate_record(null::attenuation_point, to_jsonb(p) || jsonb_build_object('revision_id', md5('revision' || n)::uuid))).*
from generate_series(1, :types) n
    cross join lateral (
        select r.id from cable_type_revision r join cable_type t on t.id = r.cable_type_id
        where t.workshop_id is null order by t.position offset n % 24 limit 1) r
    join attenuation_point p on p.revision_id = r.id
on conflict do nothing;

set client_min_messages = error;
analyze;
