import type { Claim, Found, FoundIn, SearchAnswer } from '@even-watt/contract'
import { sayClaim, wordedIn, writingOf } from '@even-watt/core'
import type { Pool } from 'pg'
import type { Besides } from '../besides/besides'
import { standing } from '../database/standing'
import { readSettings } from '../settings/settings'
import { readTold } from '../trials/told'

/** Told of in one kind of place; more are only counted as more. */
const most = 20

/** Whichever decimal mark a figure was written with. */
const plainly = (text: string) => `lower(regexp_replace(${text}, '(\\d),(?=\\d)', '\\1.', 'g'))`

/** Every word that is searched for stands somewhere in a text. */
const holds = (text: string) =>
  `(select bool_and(position(word in ${plainly(text)}) > 0) from regexp_split_to_table(${plainly('$1')}, '\\s+') as word)`

/**
 * One kind of place: rows of id, name and words, of which those that hold every word are found, if they count: which is asked
 * of those few alone.
 */
const place = (kind: FoundIn, rows: string, { counts = 'true', claim = 'null::jsonb' } = {}) =>
  `(select '${kind}' as "in", id, name, words, ${claim} as claim from (${rows}) as place
    where case when ${holds(`concat_ws(' ', name, words)`)} then ${counts} else false end limit ${most + 1})`

const textsIn = (path: string) =>
  `(select string_agg(value #>> '{}', ' · ') from jsonb_path_query(content, '${path}') as value)`

const documents = (table: string, ...paths: string[]) =>
  `select id, content->>'name' as name, coalesce(concat_ws(' · ', ${paths.map(textsIn).join(', ')}), '') as words from ${table}`

const entries = (kind: string, ...fields: string[]) =>
  `select trial as id, entry.id as entry, settings->>'title' as name,
     concat_ws(' · ', ${fields.map((field) => `body #>> '{reading,${field}}'`).join(', ')}) as words
   from entry join trial on trial.id = entry.trial where kind ${kind}`

const stands = standing('place.entry', 'place.id')

const places = [
  place('unit', documents('unit', '$.revision', '$.dateCode', '$.region', '$.note', '$.box[*].*')),
  place(
    'unit',
    `select id, content->>'name' as name, claim,
       concat_ws(' ', claim->>'quantity', claim->>'value', claim->>'unit', claim->>'readWhere') as words
     from unit, jsonb_array_elements(content->'claims') as claim`,
    { claim: 'claim' },
  ),
  place('rig', documents('rig', '$.note', '$.bank.name', '$.positive[*].name', '$.negative[*].name')),
  place('meter', documents('meter', '$.note')),
  place('load', documents('load', '$.note', '$.settings[*].name')),
  place('checklist', documents('checklist', '$.lines[*].words')),
  place('diary', documents('diary', '$.lines[*].words')),
  place('comparison', documents('comparison', '$.note')),
  place(
    'trial',
    `select id, settings->>'title' as name,
       concat_ws(' · ', settings->>'purpose', unit_name, rig_name, settings->>'by') as words from trial`,
  ),
  place(
    'finding',
    `select trial as id, settings->>'title' as name, words
     from trial_told join trial on trial.id = trial_told.trial, jsonb_array_elements_text(sentences) as words`,
  ),
  place('remark', entries(`= 'remark'`, 'kind', 'words', 'settled'), { counts: stands }),
  place('photograph', entries(`= 'photograph'`, 'shows', 'note', 'alt'), { counts: stands }),
  place('note', entries(`not in ('remark', 'photograph')`, 'note', 'observed'), { counts: stands }),
]

const sayPromise = (claim: Claim) =>
  [`${claim.quantity}, ${sayClaim(claim)}`, claim.readWhere].filter(Boolean).join(' · ')

/** Everything on the bench that holds every word of a question. */
export async function search(pool: Pool, besides: Besides, question: string): Promise<SearchAnswer> {
  const way = writingOf(await readSettings(pool))
  const unread = await readTold(pool, besides, way)
  const { rows } = await pool.query<Found & { claim: Claim | null }>(places.join(' union all '), [
    question.trim(),
  ])
  const counts = new Map<FoundIn, number>()
  const told = rows.filter(({ in: kind }) => {
    const count = (counts.get(kind) ?? 0) + 1
    counts.set(kind, count)
    return count <= most
  })
  const found = told.map(({ claim, ...one }) =>
    claim ? { ...one, words: wordedIn(way, () => sayPromise(claim)) } : one,
  )
  return { found, more: told.length < rows.length, unread }
}
