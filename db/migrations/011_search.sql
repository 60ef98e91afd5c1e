-- Up Migration

-- What core found of a trial, in sentences, as of a state of it: worked out when it is searched for.
create table finding_text (
  trial uuid primary key references trial (id) on delete cascade,
  state text not null,
  sentences jsonb not null
);
