import { useTable } from '@tanstack/react-table'
import { useMemo, useState, type ReactNode } from 'react'
import { Link } from 'react-router'
import { Find } from './Find'
import { ListTable } from './ListTable'
import { Loaded, type QueryState } from './Loaded'
import { Page } from './Page'
import { toldApart } from './toldApart'
import { columnsOf, features, type ListColumn } from './table'

interface Props<Item> {
  readonly title: string
  readonly what: string
  readonly path: string
  readonly query: QueryState<Item[]>
  /** What to do first, when there is none. */
  readonly empty: string
  /** What stands above the list. */
  readonly before?: ReactNode
  readonly columns: readonly ListColumn<Item>[]
  /** What those of one name are told apart by; absent: by when they were saved. */
  readonly facts?: (item: Item) => readonly string[]
}

/** The list of one kind of document, sorted and narrowed down as asked; the name links to its editor. */
export function DocumentList<Item extends { id: string; name: string; savedAt: string }>({
  title,
  what,
  path,
  query,
  empty,
  before,
  columns,
  facts = noFacts,
}: Props<Item>) {
  return (
    <Page
      title={title}
      actions={
        <Link className="action action-main" to={`${path}/new`}>
          Add a {what}
        </Link>
      }
    >
      {before}
      <Loaded query={query} what={title.toLowerCase()}>
        {(items) =>
          items.length === 0 ? (
            <p className="py-4">{empty}</p>
          ) : (
            <Documents title={title} what={what} path={path} items={items} columns={columns} facts={facts} />
          )
        }
      </Loaded>
    </Page>
  )
}

const noFacts = (): readonly string[] => []

interface DocumentsProps<Item> extends Required<
  Pick<Props<Item>, 'title' | 'what' | 'path' | 'columns' | 'facts'>
> {
  readonly items: Item[]
}

/** From this many on a list is worth narrowing down. */
const worthFinding = 6

function Documents<Item extends { id: string; name: string; savedAt: string }>({
  title,
  what,
  path,
  items,
  columns,
  facts,
}: DocumentsProps<Item>) {
  const [find, setFind] = useState('')
  const apart = useMemo(() => toldApart(items, facts), [items, facts])
  const all = useMemo(
    () =>
      columnsOf<Item>([
        {
          id: 'name',
          head: 'name',
          value: ({ name }) => name,
          cell: ({ id, name }) => (
            <>
              <Link className="plain-link font-semibold" to={`${path}/${id}`}>
                {name}
              </Link>
              {apart.has(id) && <span className="text-quiet block text-[0.9rem]">{apart.get(id)}</span>}
            </>
          ),
        },
        ...columns,
      ]),
    [columns, path, apart],
  )
  const table = useTable({
    features,
    columns: all,
    data: items,
    getRowId: ({ id }) => id,
    globalFilterFn: 'includesString',
    getColumnCanGlobalFilter: ({ accessorFn }) => accessorFn !== undefined,
    state: { globalFilter: find },
    onGlobalFilterChange: setFind,
    manualPagination: true,
  })
  return (
    <>
      {items.length >= worthFinding && <Find label={`Find a ${what}`} value={find} onChange={setFind} />}
      <ListTable table={table} label={title} none={`No ${what} has “${find}” in it.`} />
    </>
  )
}
