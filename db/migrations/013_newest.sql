-- Up Migration

-- Of each unit the trial that was begun last.
create index trial_of_unit on trial (unit_name, started_at desc, id desc);
