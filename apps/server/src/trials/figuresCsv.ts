import type { Chosen, Settings, TrialDocument } from '@even-watt/contract'
import {
  logCells,
  logHeads,
  mainsOf,
  stepCells,
  stepHeads,
  viewTrial,
  type CsvRow,
  type OnRig,
  type StepFigures,
} from '@even-watt/core'
import { csvOf } from './csv'

/**
 * A row for every step and every log of every rig, with its derived figures and their expanded uncertainties. Columns in which no step
 * has anything are left out; columns of the tester’s own stand behind all figures of a step.
 */
export function figuresCsv(
  { trial, entries }: Pick<TrialDocument, 'trial' | 'entries'>,
  own: readonly Chosen[] = [],
  mains?: Settings['mains'],
): string {
  const { analyses } = viewTrial(trial, entries)
  const rows = analyses.flatMap((analysis, i) =>
    stepsAndLogs({ analysis, before: analyses[i - 1], mains: mainsOf(mains) }, own),
  )
  const used = new Set(rows.flatMap((row) => Object.keys(row)))
  const columns = [
    'rig revision',
    'taken at',
    'load',
    'kind',
    'readings',
    'carried',
    'end',
    'alarm',
    ...stepHeads(own),
    ...logHeads,
    'note',
  ]
  return csvOf(
    columns.filter((column) => used.has(column)),
    rows,
  )
}

function stepsAndLogs(on: OnRig, own: readonly Chosen[]): CsvRow[] {
  const { record, ladder, logs } = on.analysis
  return [
    ...ladder.steps.map((step) => ({
      'rig revision': record.revision.number,
      ...readingsOfStep(step),
      load: step.load,
      kind: step.kind,
      carried: step.carried ? 'yes' : 'no',
      ...stepCells(step, on, own),
    })),
    ...logs.map((log) => ({
      'rig revision': record.revision.number,
      load: log.entry.reading.load ?? log.entry.reading.what,
      kind: log.entry.reading.what,
      readings: log.checkIns.length,
      ...logCells(log),
    })),
  ]
}

/** When a step was read, how often, and what was noted with it last. */
function readingsOfStep({ step: { readings } }: StepFigures): CsvRow {
  const last = readings.at(-1)
  return {
    'taken at': last?.at,
    readings: readings.length,
    end: last?.reading.end,
    alarm: last?.reading.alarm,
    note: last?.reading.note,
  }
}
