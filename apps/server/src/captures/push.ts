import { Entry, type EntryOf, type PushedCapture } from '@even-watt/contract'
import { createHash, randomUUID } from 'node:crypto'
import type { Pool } from 'pg'
import type { Besides } from '../besides/besides'
import { transaction } from '../database/pool'
import { putBytes } from '../files/blobs'
import { ProblemError } from '../http/problem'
import { parse } from '../http/validate'
import { takeEntries } from '../trials/check'
import { requireTrial } from '../trials/record'
import { rememberedRecipes } from './remembered'
import { readPushed } from './readPushed'

/** What is typical of a scope with its probe, %, where the instrument was never described. */
const typicalPercent = 5

const refused = (title: string, detail?: string) => new ProblemError(422, title, detail)

/** Takes the bytes of a capture from a script, reads them as the last of its instrument were, and appends it to the trial. */
export async function pushCapture(
  { pool, besides }: { readonly pool: Pool; readonly besides: Besides },
  trialId: string,
  bytes: Buffer,
  asked: PushedCapture,
): Promise<EntryOf<'capture'>> {
  const trial = await requireTrial(pool, trialId)
  const [known] = await rememberedRecipes(pool, asked.instrument)
  const reading = await besides.run(readPushed, bytes, known?.recipe, asked.rate)
  const sha256 = createHash('sha256').update(bytes).digest('hex')
  const to = asked.reference ? undefined : await readingOf(pool, trialId, asked.about)
  const about = to?.id
  // A capture stands on the rig of its reading, which may not be the newest.
  const revision = to?.revision ?? trial.revisions.at(-1)?.number ?? 1
  const entry: EntryOf<'capture'> = {
    id: randomUUID(),
    revision,
    at: new Date().toISOString(),
    kind: 'capture',
    reading: {
      ...reading,
      sha256,
      size: bytes.length,
      name: asked.name,
      type: 'application/octet-stream',
      instrument: known?.instrument ?? { name: asked.instrument, percent: typicalPercent, typical: true },
      ...(about === undefined ? {} : { about }),
      ...(asked.reference ? { reference: asked.reference } : {}),
    },
  }
  // What no page could send is not kept either, however it came about.
  parse(entry, Entry)
  await putBytes(pool, sha256, bytes)
  await transaction(pool, (client) => takeEntries(client, trialId, [entry]))
  return entry
}

/** The reading that a capture is said to belong to, else the one that was taken last. */
async function readingOf(
  pool: Pool,
  trial: string,
  about: string | undefined,
): Promise<{ id: string; revision: number } | undefined> {
  const { rows } = await pool.query<{ id: string; revision: number }>(
    `select id, revision from entry where trial = $1 and kind in ('ladder', 'no load', 'motors')
       and ($2::uuid is null or id = $2) order by sequence desc limit 1`,
    [trial, about ?? null],
  )
  if (about !== undefined && !rows[0])
    throw refused('The reading that this capture belongs to is not in this trial.')
  return rows[0]
}
