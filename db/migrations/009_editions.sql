-- Up Migration

-- What was published, frozen; the page itself stands among the blobs. Never changed; it goes only with its trial.
create table edition (
  id uuid primary key,
  kind text not null,
  of uuid not null,
  number integer not null check (number > 0),
  sha256 text not null references blob (sha256),
  content_sha256 text not null,
  content jsonb not null,
  made_at timestamptz not null default now(),
  unique (kind, of, number)
);
create index edition_content on edition (content_sha256);
