import type { ReactNode } from 'react'
import { FitTable } from './FitTable'

interface Props {
  readonly headings: readonly string[]
  /** The first rows, as they came. */
  readonly rows: readonly (readonly string[])[]
  /** What is chosen under a heading; it is named as the heading is said. */
  readonly choice: (column: number, said: string) => ReactNode
  /** Columns that are left out are struck through. */
  readonly isUsed?: (column: number) => boolean
  /** The number of the first row, where rows are named by their numbers. */
  readonly firstRow?: number
}

/** A table of a stranger with its headings, a choice under each, and its first rows to choose by. */
export function ColumnTable({ headings, rows, choice, isUsed = () => true, firstRow }: Props) {
  return (
    <FitTable>
      <thead>
        <tr>
          {firstRow !== undefined && <th>row</th>}
          {headings.map((heading, i) => (
            <th key={i} className="min-w-32 align-top">
              <span className="block max-w-44 truncate" title={heading}>
                {heading || `column ${i + 1}`}
              </span>
              {choice(i, heading || String(i + 1))}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((row, i) => (
          <tr key={i}>
            {firstRow !== undefined && <td className="figures text-quiet">{firstRow + i}</td>}
            {headings.map((_, k) => (
              <td
                key={k}
                className={`figures max-w-44 truncate ${isUsed(k) ? '' : 'text-quiet line-through'}`}
              >
                {row[k]}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </FitTable>
  )
}
