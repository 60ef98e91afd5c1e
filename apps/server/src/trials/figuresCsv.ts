import type { TrialDocument } from '@even-watt/contract'
import { logCells, logHeads, stepCells, stepHeads, viewTrial } from '@even-watt/core'
import { csvOf } from './csv'

/**
 * A row for every step and every log of every rig, with its derived figures and their expanded uncertainties. Columns in which no step
 * has anything are left out.
 */
export function figuresCsv({ trial, entries }: Pick<TrialDocument, 'trial' | 'entries'>): string {
  const rows = viewTrial(trial, entries).analyses.flatMap(({ record, ladder, logs }) => [
    ...ladder.steps.map((step) => ({
      'rig revision': record.revision.number,
      load: step.load,
      kind: step.kind,
      readings: step.step.readings.length,
      carried: step.carried ? 'yes' : 'no',
      ...stepCells(step),
    })),
    ...logs.map((log) => ({
      'rig revision': record.revision.number,
      load: log.entry.reading.load ?? log.entry.reading.what,
      kind: log.entry.reading.what,
      readings: log.checkIns.length,
      ...logCells(log),
    })),
  ])
  const used = new Set(rows.flatMap((row) => Object.keys(row)))
  const columns = ['rig revision', 'load', 'kind', 'readings', 'carried', ...stepHeads, ...logHeads]
  return csvOf(
    columns.filter((column) => used.has(column)),
    rows,
  )
}
