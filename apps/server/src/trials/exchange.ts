import { TrialSettings, type Trial } from '@even-watt/contract'
import type { Pool } from 'pg'
import { transaction } from '../database/pool'
import { ProblemError } from '../http/problem'
import { parse } from '../http/validate'
import { faultsOfPhotographs } from '../photographs/check'
import { doNotFit } from './faults'
import { addRevision, appendRows, insertTrial } from './record'
import type { TakenTrial } from './taken'

/** Only what may be edited; ids, versions and revisions are stored apart. */
export const settingsOf = (trial: Trial): TrialSettings => parse(trial, TrialSettings)

/** Takes a whole trial in, or nothing of it. */
export async function importTrial(pool: Pool, { trial, entries, photographs }: TakenTrial): Promise<string> {
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
      entries.ids,
    ])
    if (rowCount)
      throw new ProblemError(
        409,
        'Some entries of this file belong to another trial here.',
        'Nothing was taken in.',
      )
    const told = await faultsOfPhotographs(client, photographs)
    if (told.length) throw doNotFit('Some photographs of this file cannot be taken in.', told)
    await appendRows(client, trial.id, entries)
  })
  return trial.id
}
