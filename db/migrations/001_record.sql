-- Up Migration

-- Documents the tester edits; an edit carries the version it was made from.
create table unit (
  id uuid primary key,
  version integer not null check (version > 0),
  content jsonb not null,
  saved_at timestamptz not null default now()
);
create table meter (like unit including all);
create table rig (like unit including all);

create table trial (
  id uuid primary key,
  version integer not null default 1 check (version > 0),
  settings jsonb not null,
  started_at timestamptz not null,
  -- Kept beside the record so that a list of trials is one indexed read.
  unit_name text not null,
  rig_name text not null,
  revisions integer not null default 0,
  entries integer not null default 0,
  last_at timestamptz
);
create index trial_newest on trial (started_at desc, id desc);

-- Unit, rig and meters as they stood; frozen when made.
create table revision (
  trial uuid not null references trial (id),
  number integer not null check (number > 0),
  why text not null,
  made_at timestamptz not null,
  content jsonb not null,
  primary key (trial, number)
);

-- Everything captured at the bench, append-only.
create table entry (
  id uuid primary key,
  sequence bigint generated always as identity,
  trial uuid not null,
  revision integer not null,
  stage text not null,
  body jsonb not null,
  received_at timestamptz not null default now(),
  foreign key (trial, revision) references revision (trial, number)
);
create unique index entry_order on entry (trial, sequence);

create function refuse_change() returns trigger language plpgsql as $$
begin
  raise exception 'The record only grows: % is never changed or deleted.', tg_table_name;
end $$;
create trigger entry_only_grows before update or delete or truncate on entry
  for each statement execute function refuse_change();
create trigger revision_only_grows before update or delete or truncate on revision
  for each statement execute function refuse_change();

-- What this installation remembers of itself, such as whether the demo was loaded.
create table installation (
  key text primary key,
  value text not null
);
