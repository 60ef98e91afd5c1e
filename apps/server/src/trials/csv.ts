import {
  declaredTests,
  isReading,
  type EntryOf,
  type ReadingKind,
  type Revision,
  type Tests,
  type TrialDocument,
  type Value,
} from '@even-watt/contract'
import { allOf, quantities, quantityData, struckBy, type CsvRow } from '@even-watt/core'
import Papa from 'papaparse'
import { rowOfTest } from './rowOfTest'

const told = allOf('kinds') as Readonly<
  Record<ReadingKind, ((reading: never, revision: Revision) => CsvRow) | 'as declared' | null>
>
const declared: Readonly<Record<string, Tests>> = declaredTests

/** How a reading of a kind stands in its row; undefined: in none. */
function rowOf(kind: ReadingKind): ((reading: never, revision: Revision) => CsvRow) | undefined {
  const row = told[kind]
  return row === 'as declared' ? rowOfTest(declared[kind] ?? {}) : (row ?? undefined)
}

type Valued = EntryOf<ReadingKind> & { readonly reading: { readonly values: readonly Value[] } }
const isValued = (entry: EntryOf<ReadingKind>): entry is Valued => 'values' in entry.reading

/**
 * All readings of a trial whose kind has a row, struck ones marked: what every reading has, what its own subject adds,
 * and its values, where a quantity read on two meters has a column for each. Cells that a spreadsheet would take for a
 * formula are neutralised.
 */
export function readingsCsv({ trial, entries }: Pick<TrialDocument, 'trial' | 'entries'>): string {
  const names = distinctNames(trial)
  const struckWhy = struckBy(entries)
  const readings = entries.filter(isReading).filter((entry) => rowOf(entry.kind) !== undefined)
  const valuesOf = (entry: EntryOf<ReadingKind>) => (isValued(entry) ? entry.reading.values : [])
  const columnOf = (value: Value) => {
    const source = value.meter ? (names.get(value.meter) ?? 'unknown meter') : value.grade
    const { unit } = quantityData[value.quantity]
    return `${value.quantity}${unit ? ` [${unit === '%' ? '1' : unit}]` : ''} ${source}`
  }
  const present = readings.flatMap(valuesOf)
  const valueColumns = quantities.flatMap((quantity) => [
    ...new Set(present.filter((value) => value.quantity === quantity).map(columnOf)),
  ])
  const rows = readings.map((entry) => {
    const values = valuesOf(entry)
    const revision = trial.revisions.find(({ number }) => number === entry.revision)
    return {
      own: revision ? (rowOf(entry.kind)?.(entry.reading as never, revision) ?? {}) : {},
      base: { taken: entry.at, entry: entry.kind, 'rig revision': entry.revision },
      values: Object.fromEntries(
        valueColumns.map((column) => [column, cellOf(values.find((value) => columnOf(value) === column))]),
      ),
      end: { 'struck because': struckWhy.get(entry.id) },
    }
  })
  const ownColumns = [...new Set(rows.flatMap(({ own }) => Object.keys(own)))]
  const columns = [...Object.keys(rows[0]?.base ?? {}), ...ownColumns, ...valueColumns, 'struck because']
  return csvOf(
    columns,
    rows.map(({ own, base, values, end }) => ({ ...base, ...own, ...values, ...end })),
  )
}

/** What a spreadsheet takes for a formula, over however many lines it runs. */
const formula = /^\s*[=+\-@][^]*$/

/** A table as CSV that spreadsheets open; without rows it is empty. Cells that one would take for a formula are neutralised. */
export const csvOf = (columns: readonly string[], rows: readonly object[]): string =>
  Papa.unparse(
    { fields: rows.length ? [...columns] : [], data: [...rows] },
    { escapeFormulae: formula, newline: '\r\n' },
  )

/** A value as it was typed, to its last zero; what is stored in another unit than shown, as a number. */
const cellOf = (value: Value | undefined): number | string | undefined =>
  value?.decimals !== undefined && quantityData[value.quantity].unit !== '%'
    ? value.value.toFixed(value.decimals)
    : value?.value

/** Names of all meters by id; where several meters share one, each has its number behind it. */
function distinctNames({ revisions }: TrialDocument['trial']): ReadonlyMap<string, string> {
  const idsByName = new Map<string, Set<string>>()
  for (const { id, name } of revisions.flatMap(({ meters }) => meters))
    idsByName.set(name, (idsByName.get(name) ?? new Set()).add(id))
  return new Map(
    [...idsByName].flatMap(([name, ids]) =>
      [...ids].map((id, i) => [id, ids.size > 1 ? `${name} (${i + 1})` : name] as const),
    ),
  )
}
