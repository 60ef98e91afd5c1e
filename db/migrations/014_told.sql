-- Up Migration

-- What core found of a trial besides its sentences: its figures by name, and the watts on its label.
drop table finding_text;
create table trial_told (
  trial uuid primary key references trial (id) on delete cascade,
  state text not null,
  sentences jsonb not null,
  figures jsonb not null,
  rated double precision
);
