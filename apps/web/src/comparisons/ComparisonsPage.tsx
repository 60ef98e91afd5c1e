import type { StoredComparison } from '@even-watt/contract'
import { Link } from 'react-router'
import { api } from '../api/api'
import { shortDate } from '../ui/dates'
import { DocumentList } from '../ui/DocumentList'
import type { ListColumn } from '../ui/table'

const columns: readonly ListColumn<StoredComparison>[] = [
  { id: 'of', head: 'trials', value: ({ of }) => of.length, right: true },
  { id: 'note', head: 'note', value: ({ note }) => note ?? '–' },
  {
    id: 'savedAt',
    head: 'saved',
    value: ({ savedAt }) => savedAt,
    cell: ({ savedAt }) => <span className="whitespace-nowrap">{shortDate(savedAt)}</span>,
  },
]

/** What was laid beside each other, by name. */
export function ComparisonsPage() {
  return (
    <DocumentList<StoredComparison>
      title="Compare"
      what="comparison"
      path="/compare"
      query={api.useComparisonsQuery()}
      empty="Nothing is compared yet. Lay two trials beside each other: two units, two revisions of one, or one unit before and after a repair."
      before={
        <p className="mb-3">
          Nothing to compare, only something to run?{' '}
          <Link className="plain-link" to="/needs">
            What would you need
          </Link>
        </p>
      }
      columns={columns}
    />
  )
}
