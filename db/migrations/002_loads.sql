-- Up Migration

create table load (like unit including all);

-- Readings of one single setting, from which is learnt what it really takes.
create index entry_single_use on entry ((body #>> '{reading,uses,0,setting}'))
  where stage = 'ladder' and jsonb_array_length(coalesce(body #> '{reading,uses}', '[]'::jsonb)) = 1;
