-- Goes up with whatever becomes known of a piece: what is kept of it in short is as good as new while it says the same.
alter table piece add column touched bigint not null default 0;

create function piece_is_touched() returns trigger language plpgsql as $$
begin
    new.touched := old.touched + 1;
    if new.deleted_at is not null then
        delete from piece_life where piece_id = new.id;
    end if;
    return new;
end $$;
create trigger piece_changed before update on piece for each row execute function piece_is_touched();

create function piece_of_outing_is_touched() returns trigger language plpgsql as $$
begin
    update piece set touched = touched where id = coalesce(new.piece_id, old.piece_id);
    return null;
end $$;
create trigger outing_changed after insert or update or delete on outing
    for each row execute function piece_of_outing_is_touched();

-- A correction may say that a test was of another piece: both have another life then.
create function pieces_of_test_are_touched() returns trigger language plpgsql as $$
begin
    if new.number > 1 then
        update piece set touched = touched
        where id in (select r.piece_id from bench_test_revision r where r.test_id = new.test_id);
    else
        update piece set touched = touched where id = new.piece_id;
    end if;
    return null;
end $$;
create trigger bench_test_noted after insert on bench_test_revision
    for each row execute function pieces_of_test_are_touched();

create function pieces_of_removed_test_are_touched() returns trigger language plpgsql as $$
begin
    update piece set touched = touched
    where id in (select r.piece_id from bench_test_revision r where r.test_id = new.id);
    return null;
end $$;
create trigger bench_test_removed after update of removed_at on bench_test
    for each row when (old.removed_at is distinct from new.removed_at)
    execute function pieces_of_removed_test_are_touched();

-- What a piece needs to know of a test of it, without the long account of how it came about.
create function bench_test_in_short(document jsonb, summary jsonb) returns jsonb language sql immutable as $$
    select jsonb_build_object(
        'testedOn', document -> 'testedOn',
        'setAside', document -> 'setAside',
        'joints', document -> 'joints',
        'temperatureC', document -> 'temperatureC',
        'lengthM', summary -> 'lengthM',
        'outcome', summary -> 'outcome',
        'causes', coalesce(summary -> 'causes', jsonb_build_array(summary -> 'cause')),
        'worstExcessDb', summary -> 'worst' -> 'excessDb',
        'figures', (
            select coalesce(jsonb_agg(jsonb_build_object(
                'frequencyMHz', f -> 'frequencyMHz', 'lossDb', f -> 'lossDb', 'leastDb', f -> 'leastDb',
                'mostDb', f -> 'mostDb', 'expectedDb', f -> 'expectedDb')), '[]')
            from jsonb_array_elements(summary -> 'figures') f))
$$;

alter table bench_test_revision
    add column in_short jsonb not null generated always as (bench_test_in_short(document, summary)) stored;

-- What is known of a piece in short, by which the locker is searched and put in order; worked out when it is asked for.
create table piece_life (
    piece_id uuid primary key references piece,
    operator_id uuid not null references operator,
    -- of the piece when it was worked out
    touched bigint not null,
    -- what was asked of pieces then, and the shape of what is kept
    basis text not null,
    life jsonb not null,
    demo boolean not null,
    cable_type_id uuid references cable_type,
    length_m double precision not null,
    -- in small letters, its numbers as wide as each other
    label_key text collate "C" not null,
    -- label, place, where it is out, and note, in small letters
    words text not null,
    is_out boolean not null,
    is_retired boolean not null,
    -- its last test was not what it should be, or it is past its limit
    is_failing boolean not null,
    -- when it is to be tested again
    due_on date not null,
    -- from when on it is worth a word that it still is as its sheet; null where it is not
    well_aged_on date,
    -- 0 failing, 1 due, 2 fine, 3 retired, on the day it was last looked at
    urgency integer not null
);

-- How much a piece needs a hand on a day.
create function piece_urgency(is_retired boolean, is_failing boolean, due_on date, today date) returns integer
    language sql immutable as $$
    select case when is_retired then 3 when is_failing then 0 when due_on <= today then 1 else 2 end
$$;

create index piece_life_by_urgency on piece_life (operator_id, urgency, label_key, piece_id);
create index piece_life_by_label on piece_life (operator_id, label_key, piece_id);
