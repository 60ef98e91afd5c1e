-- Up Migration

-- Captures whose bytes were worked here, and by which version of the analysis: of the others what they came with is not known
-- to be so. They go with their trial.
create table capture_worked (
  entry uuid primary key,
  trial uuid not null references trial (id) on delete cascade,
  version int not null
);
