import {
  columnFilteringFeature,
  createColumnHelper,
  createFilteredRowModel,
  createSortedRowModel,
  filterFn_includesString,
  globalFilteringFeature,
  rowPaginationFeature,
  rowSortingFeature,
  sortFn_alphanumeric,
  tableFeatures,
} from '@tanstack/react-table'
import type { ReactNode } from 'react'

/** What lists can do: all that is here is sorted and found by the browser, unless the server does it. */
export const features = tableFeatures({
  rowSortingFeature,
  columnFilteringFeature,
  globalFilteringFeature,
  rowPaginationFeature,
  sortedRowModel: createSortedRowModel(),
  filteredRowModel: createFilteredRowModel(),
  sortFns: { alphanumeric: sortFn_alphanumeric },
  filterFns: { includesString: filterFn_includesString },
})
export type Features = typeof features

/** One column of a list. */
export interface ListColumn<Item> {
  readonly id: string
  readonly head: string
  /** What it is sorted and found by; a column without it is neither. */
  readonly value?: (item: Item) => string | number
  /** What is shown; absent: the value. */
  readonly cell?: (item: Item) => ReactNode
  readonly right?: boolean
}

/** The columns as the table knows them. */
export function columnsOf<Item extends object>(columns: readonly ListColumn<Item>[]) {
  const helper = createColumnHelper<Features, Item>()
  return helper.columns(
    columns.map(({ id, head, value, cell, right = false }) => {
      const shared = {
        id,
        header: head,
        meta: { right },
        cell: ({ row }: { row: { original: Item } }) =>
          cell ? cell(row.original) : (value?.(row.original) ?? ''),
      }
      return value
        ? helper.accessor(value, { ...shared, sortFn: 'alphanumeric', sortDescFirst: false })
        : helper.display({ ...shared, enableSorting: false })
    }),
  )
}
