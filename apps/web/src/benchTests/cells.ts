import { parseNumber } from '@even-watt/core'

/** Lines, each cut at blanks, semicolons or tabs; a comma between figures is a decimal one unless blanks follow it. */
export const cellsOf = (text: string): string[][] =>
  text
    .split(/\r?\n/)
    .map((line) => line.trim())
    .filter(Boolean)
    .slice(0, 600)
    .map((line) =>
      line
        .replace(/,\s+/g, ' ')
        .split(/[\s;]+/)
        .filter(Boolean),
    )

/** The figure of a cell, with or without its unit. */
export const figure = (cell: string | undefined): number | undefined => {
  const parsed = cell === undefined ? undefined : parseNumber(cell.replace(/[VAW]$/i, ''))
  return parsed?.ok ? parsed.value : undefined
}

/** Headings of a table that was pasted with them. */
export const isHeading = (cells: readonly string[], i: number) =>
  i === 0 && cells.every((cell) => figure(cell) === undefined)
