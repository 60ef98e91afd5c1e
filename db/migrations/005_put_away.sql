-- Up Migration

-- A trial that is put away is not in the list until it is asked for.
alter table trial add column put_away_at timestamptz;

-- The record only grows. A whole trial may be deleted for good, by name and in one transaction; nothing else ever is.
create or replace function refuse_change() returns trigger language plpgsql as $$
begin
  if tg_op = 'DELETE' and tg_level = 'ROW'
    and old.trial::text = current_setting('even_watt.deleting', true) then
    return old;
  end if;
  raise exception 'The record only grows: % is never changed or deleted.', tg_table_name;
end $$;
drop trigger entry_only_grows on entry;
drop trigger revision_only_grows on revision;
create trigger entry_only_grows before update or truncate on entry
  for each statement execute function refuse_change();
create trigger revision_only_grows before update or truncate on revision
  for each statement execute function refuse_change();
create trigger entry_stays before delete on entry for each row execute function refuse_change();
create trigger revision_stays before delete on revision for each row execute function refuse_change();
