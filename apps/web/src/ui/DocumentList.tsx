import type { ReactNode } from 'react'
import { Link } from 'react-router'
import { Loaded, type QueryState } from './Loaded'
import { Page } from './Page'

interface Props<Item> {
  readonly title: string
  readonly what: string
  readonly path: string
  readonly query: QueryState<Item[]>
  /** What to do first, when there is none. */
  readonly empty: string
  /** What stands above the list. */
  readonly before?: ReactNode
  readonly columns: readonly (readonly [heading: string, cell: (item: Item) => ReactNode])[]
}

/** The list of one kind of document; the name links to its editor. */
export function DocumentList<Item extends { id: string; name: string }>({
  title,
  what,
  path,
  query,
  empty,
  before,
  columns,
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
            <div className="overflow-x-auto">
              <table className="list-table">
                <thead>
                  <tr>
                    <th>name</th>
                    {columns.map(([heading]) => (
                      <th key={heading}>{heading}</th>
                    ))}
                  </tr>
                </thead>
                <tbody>
                  {items.map((item) => (
                    <tr key={item.id}>
                      <td className="max-w-80 font-semibold break-words">
                        <Link className="plain-link" to={`${path}/${item.id}`}>
                          {item.name}
                        </Link>
                      </td>
                      {columns.map(([heading, cell]) => (
                        <td key={heading} className="max-w-96 break-words">
                          {cell(item)}
                        </td>
                      ))}
                    </tr>
                  ))}
                </tbody>
              </table>
            </div>
          )
        }
      </Loaded>
    </Page>
  )
}
