-- Up Migration

-- Devices that were let in over the local network: only a hash of what each holds is kept.
create table device (
  id uuid primary key,
  name text not null,
  token_sha256 text not null unique check (token_sha256 ~ '^[0-9a-f]{64}$'),
  let_in_at timestamptz not null default now(),
  seen_at timestamptz not null default now(),
  shut_out boolean not null default false
);
