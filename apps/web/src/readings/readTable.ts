import Papa from 'papaparse'
import { formatNumber } from '@even-watt/core'

/** Bounds of a file from a stranger. */
export const bounds = { bytes: 12 * 1024 * 1024, rows: 200_000, columns: 100, atOnce: 5000 } as const

export interface Table {
  readonly header: readonly string[]
  readonly rows: readonly (readonly string[])[]
}

export class TableError extends Error {}

/** Reads a CSV in pieces, so that the page stays alive; comma, semicolon or tab, as the file has it. */
export function readTable(
  file: File,
  onProgress: (share: number) => void,
  signal: AbortSignal,
): Promise<Table> {
  if (file.size > bounds.bytes) {
    return Promise.reject(
      new TableError(
        `${file.name} is ${formatNumber(file.size / 2 ** 20, 0)} MB; up to ${bounds.bytes / 2 ** 20} MB is taken.`,
      ),
    )
  }
  return new Promise((resolve, reject) => {
    const rows: string[][] = []
    Papa.parse<string[]>(file, {
      skipEmptyLines: 'greedy',
      chunkSize: 256 * 1024,
      chunk: (results, parser) => {
        for (const row of results.data) rows.push(row)
        onProgress(Math.min(1, results.meta.cursor / file.size))
        const wide = results.data.some((row) => row.length > bounds.columns)
        if (signal.aborted || wide || rows.length > bounds.rows) {
          parser.abort()
          reject(
            new TableError(
              signal.aborted
                ? 'Reading was cancelled.'
                : wide
                  ? `A row has more than ${bounds.columns} columns; is this a CSV?`
                  : `The file has more than ${bounds.rows} rows.`,
            ),
          )
        }
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
