import Papa from 'papaparse'
import { formatNumber } from '@even-watt/core'

/** Bounds of a file from a stranger. */
export const bounds = {
  bytes: 12 * 2 ** 20,
  rows: 200_000,
  columns: 100,
  atOnce: 5000,
  /** Characters of a cell, and bytes of a line. */
  cell: 4000,
  line: 2 ** 16,
} as const

export interface Table {
  readonly header: readonly string[]
  readonly rows: readonly (readonly string[])[]
}

export class TableError extends Error {}

/** A file without line ends would be read again from its beginning with each piece. */
export async function refuseLongLines(file: File): Promise<void> {
  let line = 0
  for (const reader = file.stream().getReader(); ;) {
    const { done, value } = await reader.read()
    if (done) return
    for (const byte of value) {
      line = byte === 10 || byte === 13 ? 0 : line + 1
      if (line > bounds.line)
        throw new TableError(`A line has more than ${bounds.line / 1024} kB; is this a CSV?`)
    }
  }
}

/** What is wrong with some rows, of which the first is `from`, the heading being row 1. */
export function whyNot(rows: readonly (readonly string[])[], from: number): string | undefined {
  for (const [i, row] of rows.entries()) {
    if (row.length > bounds.columns)
      return `Row ${from + i} has more than ${bounds.columns} columns; is this a CSV?`
    if (row.some((cell) => cell.length > bounds.cell))
      return `Row ${from + i} has a cell of more than ${bounds.cell} characters: is a quotation mark not closed?`
  }
  return from - 1 + rows.length > bounds.rows + 1 ? `The file has more than ${bounds.rows} rows.` : undefined
}

/** Reads a CSV in pieces, so that the page stays alive; comma, semicolon or tab, as the file has it. */
export async function readTable(
  file: File,
  onProgress: (share: number) => void,
  signal: AbortSignal,
): Promise<Table> {
  if (file.size > bounds.bytes) {
    throw new TableError(
      `${file.name} is ${formatNumber(file.size / 2 ** 20, 0)} MB; up to ${bounds.bytes / 2 ** 20} MB is taken.`,
    )
  }
  await refuseLongLines(file)
  return new Promise((resolve, reject) => {
    const rows: string[][] = []
    Papa.parse<string[]>(file, {
      skipEmptyLines: 'greedy',
      chunkSize: 256 * 1024,
      chunk: (results, parser) => {
        const why = signal.aborted ? 'Reading was cancelled.' : whyNot(results.data, rows.length + 1)
        for (const row of results.data) rows.push(row)
        onProgress(Math.min(1, results.meta.cursor / file.size))
        if (why === undefined) return
        parser.abort()
        reject(new TableError(why))
      },
      complete: () => {
        const [header, ...body] = rows
        if (!header || !body.length)
          reject(new TableError('The file needs a row of headings and at least one row below it.'))
        else resolve({ header, rows: body })
      },
      error: (error) => reject(new TableError(`The file cannot be read: ${error.message}`)),
    })
  })
}
