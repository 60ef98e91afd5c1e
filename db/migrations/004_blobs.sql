-- Up Migration

-- Bytes of files, named by their SHA-256, in parts of 1 MB. Whole once every part is there and the name was verified.
create table blob (
  sha256 text primary key check (sha256 ~ '^[0-9a-f]{64}$'),
  size bigint not null check (size > 0),
  whole boolean not null default false,
  begun_at timestamptz not null default now()
);
create table blob_part (
  sha256 text not null references blob (sha256) on delete cascade,
  number integer not null check (number >= 0),
  bytes bytea not null,
  primary key (sha256, number)
);
alter table blob_part alter column bytes set storage external;

-- Who refers to bytes: what nobody refers to is swept.
create index entry_file on entry ((body #>> '{reading,sha256}')) where kind = 'file';
create index entry_files_of_trial on entry (trial) where kind = 'file';
