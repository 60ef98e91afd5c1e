/** Whether an entry stands: neither taken back, unless that was taken back itself, nor said anew. Given the columns of its ids. */
export const standing = (entry = 'entry.id', trial = 'entry.trial'): string => `not exists (
  select 1 from entry other where other.trial = ${trial} and (
    other.body #>> '{replaces,entry}' = ${entry}::text
    or (other.kind = 'take back' and other.body->>'entry' = ${entry}::text and not exists (
      select 1 from entry again where again.trial = ${trial} and again.kind = 'take back'
        and again.body->>'entry' = other.id::text))))`
