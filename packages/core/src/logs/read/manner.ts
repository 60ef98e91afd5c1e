import { numeralOf } from '../../entry/numeral'
import { mostLogFile } from './limits'

/** Why a log cannot be read, in a sentence. */
export class UnreadableLog extends Error {}

/** How a table is written. */
export interface Manner {
  /** Code of the byte between cells. */
  readonly separator: number
  /** Decimals stand after a comma. */
  readonly comma: boolean
}

export interface TableHead {
  readonly manner: Manner
  readonly headings: readonly string[]
  /** Lines before the first row of values. */
  readonly skip: number
  /** Some of its rows, cell by cell. */
  readonly sample: readonly (readonly string[])[]
}

const separators = [';', '\t', ',', '|'] as const
const longestLine = 4000
const looked = 60

/** A value as a logger writes it; what it writes where there is none is no number. */
export const isNumeric = (cell: string, comma: boolean): boolean => !Number.isNaN(numeralOf(cell, comma))

const cellsOf = (line: string, separator: string): string[] =>
  line.split(separator).map((cell) => cell.trim().replace(/^"|"$/g, '').trim())

const isTime = (cell: string) => /\d{1,2}:\d{2}/.test(cell)

/** Cells of a line that hold a number or a time. */
const told = (line: string, separator: string, comma: boolean) =>
  cellsOf(line, separator).filter((cell) => isNumeric(cell, comma) || isTime(cell)).length

/**
 * Tells from the first bytes of a table how it is written: what stands between cells, decimal point or comma, how many
 * lines of headings. Throws `UnreadableLog` with a sentence where there are no two rows of values.
 */
export function readHead(bytes: Uint8Array, size: number): TableHead {
  if (size > mostLogFile)
    throw new UnreadableLog(
      `${Math.ceil(size / 2 ** 20)} MB are too much for a log: up to ${mostLogFile / 2 ** 20} MB are taken. Cut it, or log every tenth row.`,
    )
  if (bytes.subarray(0, 4096).some((byte) => byte === 0))
    throw new UnreadableLog('This is no table of text. Save it as CSV and choose that.')
  const lines = new TextDecoder()
    .decode(bytes)
    .replace(/^\uFEFF/, '')
    .split(/\r?\n|\r/)
  if (lines.slice(0, looked).some((line) => line.length > longestLine))
    throw new UnreadableLog('Its lines are longer than any row of readings: is it a table?')
  const head = lines.slice(0, looked)
  const best = separators
    .flatMap((separator) => [true, false].map((comma) => ({ separator, comma })))
    .filter(({ separator, comma }) => !(separator === ',' && comma))
    .map((one) => ({
      ...one,
      score: head.reduce((sum, line) => sum + told(line, one.separator, one.comma), 0),
    }))
    .sort((a, b) => b.score - a.score)[0]
  const rows = head.map((line) => (best && line.trim() ? told(line, best.separator, best.comma) : 0))
  const first = rows.findIndex((count, i) => count >= 2 && ((rows[i + 1] ?? 0) >= 2 || i === head.length - 1))
  if (!best || first < 0)
    throw new UnreadableLog(
      'It holds no rows of readings: a table with a time and a value in each row is taken.',
    )
  const cells = (line: string) => cellsOf(line, best.separator)
  const sample = head
    .slice(first)
    .filter((line) => line.trim())
    .map(cells)
  const width = Math.max(...sample.map((row) => row.length))
  if (width > 200) throw new UnreadableLog(`A row has ${width} columns; up to 200 are looked at.`)
  const above = head.slice(0, first).filter((line) => cells(line).filter(Boolean).length >= 2)
  const names = above.slice(-2).map(cells)
  return {
    manner: { separator: best.separator.charCodeAt(0), comma: best.comma },
    headings: Array.from({ length: width }, (_, i) =>
      [...new Set(names.flatMap((row) => row[i] || []))].join(' ').slice(0, 120),
    ),
    skip: first,
    sample: sample.slice(0, 30),
  }
}
