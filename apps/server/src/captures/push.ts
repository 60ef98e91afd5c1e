import {
  Entry,
  mostSamples,
  type Capture,
  type EntryOf,
  type PushedCapture,
  type Recipe,
} from '@even-watt/contract'
import { guessRecipe, readFile, recipeFits, Unreadable, type Columns } from '@even-watt/core/waveform/index'
import { createHash, randomUUID } from 'node:crypto'
import type { Pool } from 'pg'
import { transaction } from '../database/pool'
import { putBytes } from '../files/blobs'
import { ProblemError } from '../http/problem'
import { parse } from '../http/validate'
import { takeEntries } from '../trials/check'
import { requireTrial } from '../trials/record'
import { rememberedRecipes } from './remembered'
import { figuresOf } from './workBytes'

/** What is typical of a scope with its probe, %, where the instrument was never described. */
const typicalPercent = 5

/** Samples a channel that are worked while a script waits; the page takes longer records. */
const mostPushed = 2_000_000

const refused = (title: string, detail?: string) => new ProblemError(422, title, detail)

/** A remembered recipe serves where the file has its columns; else the columns are guessed. */
function recipeFor(columns: Columns, remembered: Recipe | undefined, rate: number | undefined): Recipe {
  const recipe =
    remembered && recipeFits(remembered, columns.columns.length) ? remembered : guessRecipe(columns)
  // The file's own rate counts before that of an earlier one.
  const known = rate ?? columns.rate
  return known === undefined ? recipe : { ...recipe, rate: known }
}

/** Takes the bytes of a capture from a script, reads them as the last of its instrument were, and appends it to the trial. */
export async function pushCapture(
  pool: Pool,
  trialId: string,
  bytes: Buffer,
  asked: PushedCapture,
): Promise<EntryOf<'capture'>> {
  const trial = await requireTrial(pool, trialId)
  const [known] = await rememberedRecipes(pool, asked.instrument)
  let reading: Pick<Capture, 'recipe' | 'figures'>
  try {
    const columns = readFile(bytes, known?.recipe.raw)
    if ((columns.columns[0]?.values.length ?? 0) > Math.min(mostPushed, mostSamples))
      throw new Unreadable(
        `Up to ${mostPushed / 1e6} million samples are taken from a script: bring longer records in by the page.`,
      )
    const recipe = recipeFor(columns, known?.recipe, asked.rate)
    reading = { recipe, figures: figuresOf(columns, recipe) }
  } catch (error) {
    if (error instanceof Unreadable) throw refused('This capture cannot be read.', error.message)
    throw error
  }
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
