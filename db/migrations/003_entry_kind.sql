-- Up Migration

-- What an entry is, is its kind; the work order has stages. The record says the same in the new word.
drop index entry_single_use;
alter table entry rename column stage to kind;
alter table entry disable trigger entry_only_grows;
update entry set body = (body - 'stage') || jsonb_build_object('kind', body -> 'stage') where body ? 'stage';
alter table entry enable trigger entry_only_grows;

-- Readings of one single setting, from which is learnt what it really takes.
create index entry_single_use on entry (sequence desc)
  where kind = 'ladder' and jsonb_array_length(coalesce(body #> '{reading,uses}', '[]'::jsonb)) = 1;

-- Entries that strike others out: few among many.
create index entry_striking on entry (id) where kind = 'take back' or body ? 'replaces';
