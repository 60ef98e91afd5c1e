import { existsSync, readFileSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import {
  Checklist,
  Comparison,
  Diary,
  Edition,
  Load,
  Meter,
  Rig,
  StoredChecklist,
  StoredComparison,
  StoredDiary,
  StoredLoad,
  StoredMeter,
  StoredRig,
  StoredUnit,
  TrialDocument,
  Unit,
} from '@even-watt/contract'
import type { Pool } from 'pg'
import * as z from 'zod/mini'
import { remember } from '../database/installation'
import { saveDocument, type DocumentTable } from '../documents/documents'
import { keepEdition } from '../editions/editions'
import { putBytes } from '../files/blobs'
import { ProblemError } from '../http/problem'
import { parse } from '../http/validate'
import { importTrial } from '../trials/exchange'
import { takenOf } from '../trials/taken'

/** Where the scenario stands in a checkout. */
export const demoFolder = fileURLToPath(new URL('../../../../demo', import.meta.url))

/** Loads the scenario from a folder beside whatever is here; parts already here are left as they are. */
export async function loadDemo(pool: Pool, folder = demoFolder): Promise<void> {
  const read = (name: string): unknown => JSON.parse(readFileSync(join(folder, `${name}.json`), 'utf8'))
  const take = async (table: DocumentTable, documents: { id: string }[], content: z.ZodMiniType<object>) => {
    for (const document of documents) {
      await saveDocument(pool, table, document.id, 0, parse(document, content)).catch(ignoreConflict)
    }
  }
  await take('unit', parse(read('units'), z.array(StoredUnit)), Unit)
  await take('meter', parse(read('meters'), z.array(StoredMeter)), Meter)
  await take('load', parse(read('loads'), z.array(StoredLoad)), Load)
  await take('rig', parse(read('rigs'), z.array(StoredRig)), Rig)
  await takeFiles(pool, join(folder, 'files'))
  for (const trial of parse(read('trials'), z.array(TrialDocument))) {
    await importTrial(pool, takenOf(trial)).catch(ignoreConflict)
  }
  await takeFiles(pool, join(folder, 'editions'))
  for (const { id, madeAt, ...edition } of parse(read('editions'), z.array(Edition)))
    await keepEdition(pool, id, edition, new Date(madeAt)).catch(ignoreConflict)
  await take('comparison', parse(read('comparisons'), z.array(StoredComparison)), Comparison)
  await take('checklist', parse(read('checklists'), z.array(StoredChecklist)), Checklist)
  await take('diary', parse(read('diaries'), z.array(StoredDiary)), Diary)
  await remember(pool, 'demo', 'loaded')
}

/** The bytes of captures, pictures and published pages, each under its SHA-256. */
async function takeFiles(pool: Pool, folder: string): Promise<void> {
  if (!existsSync(folder)) return
  for (const sha256 of readdirSync(folder)) await putBytes(pool, sha256, readFileSync(join(folder, sha256)))
}

function ignoreConflict(error: unknown): void {
  if (!(error instanceof ProblemError) || error.status !== 409) throw error
}
