-- A radio that was keyed and has not yet confirmed that it is off; a server that starts switches it off.
create table keyed_transmitter (
    address text primary key,
    host text not null,
    port integer not null check (port between 1 and 65535),
    keyed_at timestamptz not null
);

-- Which edition of the built-in catalogue was loaded last: an older program beside a newer one leaves it alone.
create table built_in_catalogue (
    only_one boolean primary key default true check (only_one),
    edition integer not null check (edition >= 1)
);

-- A piece is in one place at a time. What overlapped before this was kept stays as it was noted, and is marked.
create extension if not exists btree_gist;
alter table outing add column overlaps_another boolean not null default false;
update outing o set overlaps_another = true
where exists (
    select 1 from outing earlier
    where earlier.piece_id = o.piece_id
      and (earlier.taken_on, earlier.id) < (o.taken_on, o.id)
      and daterange(earlier.taken_on, earlier.put_away_on) && daterange(o.taken_on, o.put_away_on));
alter table outing add constraint outing_in_one_place
    exclude using gist (piece_id with =, daterange(taken_on, put_away_on) with &&) where (not overlaps_another);

-- A file that was sent to be looked at, and then to be taken, in pieces that any server can read.
create table transfer_upload (
    id uuid primary key,
    operator_id uuid not null references operator,
    sent_at timestamptz not null
);
create table transfer_upload_part (
    upload_id uuid not null references transfer_upload on delete cascade,
    number integer not null check (number >= 0),
    content bytea not null,
    primary key (upload_id, number)
);

-- Triggers look for their tables here, whatever path whoever writes has set.
alter function refuse_reserved_cable_key() set search_path = public;
alter function refuse_change() set search_path = public;

-- What was noted of a test once is never noted otherwise under the same number.
create trigger bench_test_revision_is_final before update or delete on bench_test_revision
    for each row execute function refuse_change();
