-- Up Migration

-- Captures whose bytes were worked here, and by which version of the analysis: of the others what they came with is not known
-- to be so.
create table capture_worked (
  entry uuid primary key references entry (id) on delete cascade,
  version int not null
);
