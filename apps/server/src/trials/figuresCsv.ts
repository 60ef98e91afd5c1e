import type { TrialDocument } from '@even-watt/contract'
import { stepCells, stepHeads, viewTrial } from '@even-watt/core'
import { csvOf } from './csv'

/**
 * A row for every step of every rig, with its derived figures and their expanded uncertainties. Columns in which no step
 * has anything are left out.
 */
export function figuresCsv({ trial, entries }: TrialDocument): string {
  const rows = viewTrial(trial, entries).analyses.flatMap(({ record, ladder }) =>
    ladder.steps.map((step) => ({
      'rig revision': record.revision.number,
      load: step.load,
      kind: step.kind,
      readings: step.step.readings.length,
      carried: step.carried ? 'yes' : 'no',
      ...stepCells(step),
    })),
  )
  const used = new Set(rows.flatMap((row) => Object.keys(row)))
  const columns = ['rig revision', 'load', 'kind', 'readings', 'carried', ...stepHeads]
  return csvOf(
    columns.filter((column) => used.has(column)),
    rows,
  )
}
