import type { TrialDocument } from '@even-watt/contract'
import { quantities, quantityData, replay } from '@even-watt/core'
import Papa from 'papaparse'

/**
 * All readings of a trial as CSV, one row each, struck ones marked. A quantity read on two meters has a column
 * for each. Cells that a spreadsheet would take for a formula are neutralised.
 */
export function readingsCsv({ trial, entries }: TrialDocument): string {
  const names = new Map(
    trial.revisions.flatMap((revision) => revision.meters.map((meter) => [meter.id, meter.name] as const)),
  )
  const { struckWhy } = replay(trial, entries)
  const readings = entries.filter((entry) => entry.kind === 'ladder' || entry.kind === 'no load')
  const columnOf = (value: (typeof readings)[number]['reading']['values'][number]) => {
    const source = value.meter ? (names.get(value.meter) ?? 'unknown meter') : value.grade
    const { unit } = quantityData[value.quantity]
    return `${value.quantity}${unit ? ` [${unit === '%' ? '1' : unit}]` : ''} ${source}`
  }
  const columns = quantities.flatMap((quantity) => [
    ...new Set(
      readings.flatMap((entry) =>
        entry.reading.values.filter((value) => value.quantity === quantity).map(columnOf),
      ),
    ),
  ])
  const rows = readings.map((entry) => {
    const ladder = entry.kind === 'ladder' ? entry.reading : undefined
    return {
      taken: entry.at,
      entry: entry.kind,
      'rig revision': entry.revision,
      step: ladder?.step ?? '',
      load: ladder?.load ?? '',
      kind: ladder?.kind ?? '',
      ...Object.fromEntries(
        columns.map((column) => [
          column,
          entry.reading.values.find((value) => columnOf(value) === column)?.value ?? '',
        ]),
      ),
      fan: ladder?.fan ?? '',
      alarm: ladder?.alarm ?? '',
      end: ladder?.end ?? '',
      'held [s]': ladder?.held ?? '',
      note: entry.reading.note ?? '',
      'struck because': struckWhy.get(entry.id) ?? '',
    }
  })
  return Papa.unparse(rows, { escapeFormulae: true, newline: '\r\n' })
}
