import type { Entry, EntryOf, TrialPage } from '@even-watt/contract'
import { randomUUID } from 'node:crypto'
import { ladderOf } from './ladders'

const sample = ladderOf(3, 1).entries.find((entry): entry is EntryOf<'ladder'> => entry.kind === 'ladder')

const json = (method: string, body: unknown): RequestInit => ({
  method,
  headers: { 'content-type': 'application/json' },
  body: JSON.stringify(body),
})

/** A trial of its own beside the first one of the demo, on its unit and rig. */
export async function trialOn(url: string, title: string): Promise<string> {
  const { trials } = (await (await fetch(`${url}/api/trials`)).json()) as TrialPage
  const of = (await (await fetch(`${url}/api/trials/${trials[0]?.id}`)).json()) as {
    revisions: { unit: { id: string }; rig: { id: string } }[]
  }
  const [first] = of.revisions
  const id = randomUUID()
  const answer = await fetch(
    `${url}/api/trials`,
    json('POST', { id, unit: first?.unit.id, rig: first?.rig.id, title, by: 'R.O.' }),
  )
  if (!answer.ok) throw new Error(`no trial: ${answer.status}`)
  return id
}

/** Sends one step, without values, for the meters of another rig would be refused. */
export async function stepOf(url: string, trial: string): Promise<{ id: string; answer: Response }> {
  if (!sample) throw new Error('no sample')
  const id = randomUUID()
  const entry = { ...sample, id, reading: { ...sample.reading, step: randomUUID(), values: [] } }
  return { id, answer: await fetch(`${url}/api/trials/${trial}/entries`, json('POST', [entry])) }
}

/** Ids of all entries of a trial, as often as they are there. */
export async function entriesIn(url: string, trial: string): Promise<string[]> {
  const ids: string[] = []
  for (let cursor = '0'; ;) {
    const answer = await fetch(`${url}/api/trials/${trial}/entries?after=${cursor}`)
    const page = (await answer.json()) as { entries: Entry[]; cursor: string; more: boolean }
    ids.push(...page.entries.map(({ id }) => id))
    cursor = page.cursor
    if (!page.more) return ids
  }
}
