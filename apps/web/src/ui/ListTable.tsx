import type { ReactTable, RowData } from '@tanstack/react-table'
import type { Features } from './table'
import { FitTable } from './FitTable'

interface Props<Item extends RowData> {
  readonly table: ReactTable<Features, Item>
  readonly label: string
  /** What is said where nothing is found. */
  readonly none: string
}

const ways = { asc: 'ascending', desc: 'descending' } as const

/** A list as a table: a heading that sorts is a button, and says which way. */
export function ListTable<Item extends RowData>({ table, label, none }: Props<Item>) {
  const { rows } = table.getRowModel()
  return (
    <div>
      <FitTable aria-label={label}>
        <thead>
          {table.getHeaderGroups().map((group) => (
            <tr key={group.id}>
              {group.headers.map((header) => {
                const { column } = header
                const sorted = column.getIsSorted()
                const right = column.columnDef.meta?.right
                return (
                  <th
                    key={header.id}
                    className={right ? 'right' : ''}
                    aria-sort={sorted ? ways[sorted] : undefined}
                  >
                    {column.getCanSort() ? (
                      <button
                        type="button"
                        className="font-semibold whitespace-nowrap hover:text-ink"
                        onClick={column.getToggleSortingHandler()}
                      >
                        <table.FlexRender header={header} />
                        <span aria-hidden="true" className="inline-block w-3 text-ink">
                          {sorted === 'asc' ? '↑' : sorted === 'desc' ? '↓' : ''}
                        </span>
                      </button>
                    ) : (
                      <table.FlexRender header={header} />
                    )}
                  </th>
                )
              })}
            </tr>
          ))}
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.id}>
              {row.getAllCells().map((cell) => (
                <td
                  key={cell.id}
                  className={`max-w-96 break-words ${cell.column.columnDef.meta?.right ? 'figures right' : ''}`}
                >
                  <table.FlexRender cell={cell} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </FitTable>
      {rows.length === 0 && <p className="text-quiet py-3">{none}</p>}
    </div>
  )
}
