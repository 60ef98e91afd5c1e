import {
  formatName,
  formatVersion,
  madeBy,
  TrialDocument,
  TrialSettings,
  upgradeDocument,
  type StoredLoad,
  type Trial,
} from '@even-watt/contract'
import { frozenPlan } from '@even-watt/core'
import type { Pool } from 'pg'
import { transaction } from '../database/pool'
import { listDocuments } from '../documents/documents'
import { readTaken } from '../loads/taken'
import { ProblemError } from '../http/problem'
import { parse } from '../http/validate'
import { faultsOfPhotographs } from '../photographs/check'
import { faultsIn } from './check'
import { addRevision, appendEntries, insertTrial, readAllEntries, requireTrial } from './record'

/** Only what may be edited; ids, versions and revisions are stored apart. */
export const settingsOf = (trial: Trial): TrialSettings => parse(trial, TrialSettings)

export async function exportTrial(pool: Pool, id: string): Promise<TrialDocument> {
  const trial = await withFrozenPlan(pool, await requireTrial(pool, id))
  return {
    format: formatName,
    formatVersion,
    madeBy,
    madeAt: new Date().toISOString(),
    trial,
    entries: await readAllEntries(pool, id),
  }
}

/** A plan saved before plans kept their loads gets them now, as far as they are still here. */
async function withFrozenPlan(pool: Pool, trial: Trial): Promise<Trial> {
  if (!trial.plan || trial.plan.loads) return trial
  const [loads, taken] = await Promise.all([
    listDocuments(pool, 'load') as unknown as Promise<StoredLoad[]>,
    readTaken(pool),
  ])
  const plan = frozenPlan(trial.plan, { loads, taken })
  return plan.loads?.length ? { ...trial, plan } : trial
}

/** The document of a file from a stranger, or a problem that says what is wrong with it. */
export function readDocument(content: unknown): TrialDocument {
  const version =
    typeof content === 'object' && content !== null && 'formatVersion' in content
      ? content.formatVersion
      : undefined
  if (typeof version === 'number' && version > formatVersion) {
    throw new ProblemError(
      422,
      `This file is of format version ${version}; this Even Watt reads up to ${formatVersion}.`,
      'Open it with a newer Even Watt.',
    )
  }
  return parse(upgradeDocument(content), TrialDocument)
}

/** Takes a whole trial in, or nothing of it. */
export async function importTrial(pool: Pool, document: TrialDocument): Promise<string> {
  const { trial } = document
  // What another installation made of captures is not taken over: their bytes come along, and are worked here.
  const entries = document.entries.filter(({ kind }) => kind !== 'worked again')
  const numbers = trial.revisions.map((revision) => revision.number)
  if (numbers.some((number, i) => number !== i + 1)) {
    throw new ProblemError(422, 'The rig revisions of this file are not numbered 1, 2, 3 …')
  }
  const fields = faultsIn(entries, new Set(numbers), new Set())
  if (fields.length)
    throw new ProblemError(
      422,
      'Some entries of this file do not fit its trial.',
      undefined,
      fields.slice(0, 20),
    )
  if (new Set(entries.map((entry) => entry.id)).size !== entries.length) {
    throw new ProblemError(422, 'Two entries of this file have the same id.')
  }
  const [first] = trial.revisions
  if (!first) throw new ProblemError(422, 'This file has no rig revision.')
  await transaction(pool, async (client) => {
    const inserted = await insertTrial(client, {
      ...trial,
      settings: settingsOf(trial),
      unit: first.unit,
      rig: first.rig,
    })
    if (!inserted) throw new ProblemError(409, 'This trial is here already.', 'Nothing was changed.')
    for (const revision of trial.revisions) await addRevision(client, trial.id, revision)
    const { rowCount } = await client.query('select 1 from entry where id = any($1::uuid[]) limit 1', [
      entries.map(({ id }) => id),
    ])
    if (rowCount)
      throw new ProblemError(
        409,
        'Some entries of this file belong to another trial here.',
        'Nothing was taken in.',
      )
    const told = await faultsOfPhotographs(client, entries)
    if (told.length)
      throw new ProblemError(
        422,
        'Some photographs of this file cannot be taken in.',
        undefined,
        told.slice(0, 20),
      )
    await appendEntries(client, trial.id, entries)
  })
  return trial.id
}
