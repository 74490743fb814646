-- What is kept belongs to a workshop: a household, a club. Those who work there come and go.
create table workshop (
    id uuid primary key,
    name text not null check (length(name) between 1 and 100),
    created_at timestamptz not null,
    demo_loaded_at timestamptz
);

-- Until now the one operator owned everything; what was theirs is the first workshop's, under the same id.
insert into workshop (id, name, created_at, demo_loaded_at)
select id, 'Workshop', created_at, demo_loaded_at from operator;

alter table operator drop column demo_loaded_at;

do $$
declare
    c record;
begin
    for c in select k.conrelid::regclass as tab, k.conname from pg_constraint k
             where k.contype = 'f' and k.confrelid = 'operator'::regclass loop
        execute format('alter table %s drop constraint %I', c.tab, c.conname);
        execute format('alter table %s rename column operator_id to workshop_id', c.tab);
        execute format('alter table %s add foreign key (workshop_id) references workshop', c.tab);
    end loop;
end $$;

create or replace function refuse_reserved_cable_key() returns trigger language plpgsql as $$
begin
    if exists (select 1 from cable_type t
               where t.key = new.key and (t.workshop_id is null) <> (new.workshop_id is null)) then
        raise exception 'cable key % is taken: built-in keys are reserved', new.key using errcode = 'unique_violation';
    end if;
    return new;
end $$;

-- Connectors of one's own are one's own, like cables.
alter table piece drop constraint piece_near_connector_fkey, drop constraint piece_far_connector_fkey;
alter table connector drop constraint connector_key_key;
create unique index connector_built_in_key on connector (key) where workshop_id is null;
create unique index connector_own_key on connector (workshop_id, key) where workshop_id is not null;

create function refuse_reserved_connector_key() returns trigger language plpgsql as $$
begin
    if exists (select 1 from connector c
               where c.key = new.key and (c.workshop_id is null) <> (new.workshop_id is null)) then
        raise exception 'connector key % is taken: built-in keys are reserved', new.key using errcode = 'unique_violation';
    end if;
    return new;
end $$;

create trigger connector_key_reserved before insert or update on connector
    for each row execute function refuse_reserved_connector_key();

-- A key alone names no connector any more, so that the database looks for it where the piece belongs.
create function require_connectors_of_piece() returns trigger language plpgsql as $$
begin
    if exists (select 1 from unnest(array[new.near_connector, new.far_connector]) as wanted (key)
               where wanted.key is not null and not exists (
                   select 1 from connector c
                   where c.key = wanted.key and (c.workshop_id is null or c.workshop_id = new.workshop_id))) then
        raise exception 'a connector of piece % is not known', new.label using errcode = 'foreign_key_violation';
    end if;
    return null;
end $$;

create constraint trigger connectors_of_piece after insert or update on piece
    deferrable initially deferred for each row execute function require_connectors_of_piece();

-- Settings of fact are the workshop's, those of taste each operator's own. What was stored of taste so far stays where it
-- is and stands until an operator says otherwise.
alter table operator_settings rename to workshop_settings;

create table operator_settings (
    operator_id uuid primary key references operator,
    version bigint not null check (version >= 0),
    document jsonb not null check (jsonb_typeof(document) = 'object'),
    updated_at timestamptz not null
);
