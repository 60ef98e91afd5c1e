-- Up Migration

-- Lists that are worked line by line, made once and used again.
create table checklist (like unit including all);

-- The life of a unit beyond its trials; each diary has the id of its unit.
create table diary (like unit including all);

-- Who refers to bytes, whatever kind of entry it is.
drop index entry_file;
create index entry_file on entry ((body #>> '{reading,sha256}')) where body #>> '{reading,sha256}' is not null;

-- Remarks are looked for under their unit.
create index entry_remark on entry (trial) where kind = 'remark';
