import { numeralOf } from '../../entry/numeral'
import { mostSamples } from '../limits'
import { tooMany, Unreadable, type Columns } from './columns'

/** Lines looked at to tell how a table is written. */
const looked = 400
const mostColumns = 64
/** Share of rows that may lack a number, and be filled from the row before. */
const mostFilled = 0.01

interface Manner {
  readonly separator: RegExp | string
  readonly comma: boolean
}

const manners: readonly Manner[] = [
  { separator: ';', comma: true },
  { separator: ';', comma: false },
  { separator: '\t', comma: true },
  { separator: '\t', comma: false },
  { separator: ',', comma: false },
  { separator: /\s+/, comma: true },
  { separator: /\s+/, comma: false },
]

const cellsOf = (line: string, { separator }: Manner) =>
  (typeof separator === 'string' ? line : line.trim())
    .split(separator)
    .map((cell) => cell.trim().replace(/^"|"$/g, ''))

/** A row of numbers: at least one cell, and every cell that is not empty is one. */
const isRow = (line: string, manner: Manner) => {
  const cells = cellsOf(line, manner).filter((cell) => cell.trim() !== '')
  return cells.length > 0 && cells.every((cell) => !Number.isNaN(numeralOf(cell, manner.comma)))
}

/**
 * Reads a table of numbers as instruments write it: separated by semicolons, tabs, commas or blanks, with decimal points or
 * commas, with lines of text before it and stray ones within. Headings and units of the lines just above the numbers stay
 * together as the heading. Throws `Unreadable` with a sentence where there are no numbers.
 */
export function readTable(text: string): Columns {
  const head = firstLines(text)
  const manner = mannerOf(head)
  const first = head.findIndex(
    (line, i) => isRow(line, manner) && (isRow(head[i + 1] ?? line, manner) || i > 20),
  )
  if (first < 0)
    throw new Unreadable('It holds no rows of numbers: a table with a row for each sample is taken.')
  const width = Math.min(
    mostColumns,
    Math.max(
      ...head
        .slice(first)
        .filter((line) => isRow(line, manner))
        .map((line) => cellsOf(line, manner).length),
    ),
  )
  const above = head.slice(0, first)
  const { columns, notes } = rowsOf(text, above.length, manner, width)
  const digits = columns.map((_, i) =>
    Math.max(
      ...head.slice(first, first + 50).map((line) => lastDigit(cellsOf(line, manner)[i] ?? '', manner.comma)),
    ),
  )
  const headings = headingsOf(above, manner, width)
  const rate = rateIn(above)
  const used = columns.flatMap((values, i) =>
    values ? [{ heading: headings[i] ?? '', values, digit: digits[i] ?? 0 }] : [],
  )
  return {
    columns: used.map(({ heading, values }) => ({ heading, values })),
    digits: used.map(({ digit }) => digit),
    notes,
    ...(rate === undefined ? {} : { rate }),
  }
}

function firstLines(text: string): string[] {
  const lines: string[] = []
  for (let at = 0; lines.length < looked && at < text.length;) {
    const end = text.indexOf('\n', at)
    lines.push(text.slice(at, end < 0 ? undefined : Math.min(end, at + 10_000)).replace(/\r$/, ''))
    if (end < 0) break
    at = end + 1
  }
  return lines
}

/** The manner by which most lines are rows; of several the one that gives most columns. */
function mannerOf(lines: readonly string[]): Manner {
  const scored = manners.map((manner) => {
    const rows = lines.filter((line) => isRow(line, manner))
    return {
      manner,
      rows: rows.length,
      cells: rows.reduce((sum, row) => sum + cellsOf(row, manner).length, 0),
    }
  })
  const most = Math.max(...scored.map(({ rows }) => rows))
  const [best] = scored.filter(({ rows }) => rows >= 0.9 * most).sort((a, b) => b.cells - a.cells)
  return best?.manner ?? { separator: ',', comma: false }
}

/** Size of the last digit that is printed: 0.001 of 12.345, 1e-7 of 1.23456e-2. */
function lastDigit(cell: string, comma: boolean): number {
  const [, fraction = '', exponent = '0'] =
    /^[-+−]?\d*(?:[.,](\d*))?(?:e([-+]?\d+))?$/i.exec(comma ? cell.trim() : cell.trim().replace(',', '')) ??
    []
  return 10 ** (Number(exponent) - fraction.length)
}

function headingsOf(above: readonly string[], manner: Manner, width: number): string[] {
  const rows = above
    .map((line) => cellsOf(line, manner).map((cell) => cell.trim()))
    .filter((cells) => cells.filter(Boolean).length >= Math.min(2, width) && !cells[0]?.startsWith('#'))
    .slice(-2)
  return Array.from({ length: width }, (_, i) => rows.flatMap((cells) => cells[i] || []).join(' '))
}

/** A rate or a step that a line above the numbers states. */
function rateIn(above: readonly string[]): number | undefined {
  for (const line of above) {
    const step = /(?:interval|step|increment|\bdt\b|delta)[^\d]*([\d.]+(?:e[-+]?\d+)?)\s*([mµun]?)s?/i.exec(
      line,
    )
    if (step && Number(step[1]) > 0) return 1 / (Number(step[1]) * (prefixes[step[2] ?? ''] ?? 1))
    const rate =
      /(?:sample ?rate|sampling|samples? ?(?:per|a|\/) ?s)[^\d]*([\d.]+(?:e[-+]?\d+)?)\s*([kM]?)/i.exec(line)
    if (rate && Number(rate[1]) > 0) return Number(rate[1]) * (prefixes[rate[2] ?? ''] ?? 1)
  }
  return undefined
}

export const prefixes: Readonly<Record<string, number>> = {
  n: 1e-9,
  µ: 1e-6,
  μ: 1e-6,
  u: 1e-6,
  m: 1e-3,
  k: 1e3,
  M: 1e6,
}

/** Numbers that grow as they come: nobody says how many rows there will be. */
class Growing {
  private values = new Float64Array(4096)
  length = 0
  push(value: number): void {
    if (this.length === this.values.length) {
      const larger = new Float64Array(2 * this.length)
      larger.set(this.values)
      this.values = larger
    }
    this.values[this.length++] = value
  }
  get last(): number {
    return this.values[this.length - 1] ?? NaN
  }
  done(): Float64Array {
    return this.values.slice(0, this.length)
  }
}

function rowsOf(text: string, skip: number, manner: Manner, width: number) {
  const gathered = Array.from({ length: width }, () => new Growing())
  const known = new Uint32Array(width)
  let [stray, rows, line] = [0, 0, 0]
  for (let at = 0; at < text.length; line++) {
    const end = text.indexOf('\n', at)
    const words = text.slice(at, end < 0 ? undefined : end)
    at = end < 0 ? text.length : end + 1
    if (line < skip || !words.trim()) continue
    const cells = cellsOf(words.replace(/\r$/, ''), manner)
    const numbers = gathered.map((_, i) => numeralOf(cells[i] ?? '', manner.comma))
    if (numbers.every(Number.isNaN)) {
      stray++
      continue
    }
    if (++rows > mostSamples) throw tooMany()
    numbers.forEach((value, i) => {
      if (!Number.isNaN(value)) (known[i] as number)++
      gathered[i]?.push(Number.isNaN(value) ? (gathered[i]?.last ?? NaN) : value)
    })
  }
  let filled = 0
  const columns = gathered.map((column, i) => {
    const missing = rows - (known[i] as number)
    // A column that is hardly ever filled holds nothing.
    if (missing > rows / 2) return undefined
    filled += missing
    const values = column.done()
    const begin = values.findIndex((value) => !Number.isNaN(value))
    return begin > 0 ? values.fill(values[begin] as number, 0, begin) : values
  })
  if (filled > mostFilled * rows)
    throw new Unreadable(
      `${filled} of its ${rows} rows lack a number: up to one in a hundred is filled from the row before.`,
    )
  const notes = [
    stray &&
      `${stray} ${stray === 1 ? 'line' : 'lines'} of text between the numbers ${stray === 1 ? 'is' : 'are'} left out.`,
    filled &&
      `${filled} ${filled === 1 ? 'place' : 'places'} without a number ${filled === 1 ? 'holds' : 'hold'} the one before.`,
  ]
  return { columns, notes: notes.filter((note): note is string => typeof note === 'string') }
}
