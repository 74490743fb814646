-- How the operator likes to work. One row each; a missing one means the defaults.
create table operator_settings (
    operator_id uuid primary key references operator,
    version bigint not null check (version >= 0),
    document jsonb not null check (jsonb_typeof(document) = 'object'),
    updated_at timestamptz not null
);
