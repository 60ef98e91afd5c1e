import type { Face, Tests } from '@even-watt/contract'
import { plain, type CsvRow } from '@even-watt/core'

/** Figures are kept in SI: what one of these units shows is another in a table. */
const stored: Readonly<Record<string, string>> = { mΩ: 'Ω', '%': '1' }

/**
 * How one test stands in a row of the CSV, from its declaration: a column for each of its fields, headed as its form asks for it,
 * with the unit in which it is kept.
 */
export const rowOfTest =
  (tests: Tests) =>
  ({ test, note, ...read }: { readonly test: string; readonly note?: string | undefined }): CsvRow => ({
    test,
    ...Object.fromEntries(
      Object.entries(tests[test]?.fields ?? {}).map(([name, face]) => [
        headingOf(face),
        cellOf(face, (read as Readonly<Record<string, unknown>>)[name]),
      ]),
    ),
    note,
  })

function headingOf(face: Face): string {
  const words = face.label.charAt(0).toLowerCase() + face.label.slice(1)
  if (face.is !== 'number' || !face.unit) return words
  return `${words} [${face.factor === undefined ? face.unit : (stored[face.unit] ?? face.unit)}]`
}

function cellOf(face: Face, value: unknown): string | number | undefined {
  if (face.is === 'lines' && Array.isArray(value))
    return value
      .map((line: Readonly<Record<string, unknown>>) =>
        Object.entries(face.columns)
          .flatMap(([name, unit]) => {
            const cell = line[name]
            return typeof cell === 'number'
              ? [`${plain(cell)} ${unit}`.trim()]
              : typeof cell === 'string'
                ? [cell]
                : []
          })
          .join(' '),
      )
      .join('; ')
  if (typeof value === 'boolean')
    return face.is === 'yes or no' ? face.of[value ? 0 : 1] : value ? 'yes' : 'no'
  return typeof value === 'number' || typeof value === 'string' ? value : undefined
}
