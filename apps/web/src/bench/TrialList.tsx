import { trialOrders, type TrialLine, type TrialOrder, type TrialVerdicts } from '@even-watt/contract'
import { useTable, type PaginationState, type SortingState } from '@tanstack/react-table'
import { useDeferredValue, useMemo, useState, type ReactNode } from 'react'
import { Link } from 'react-router'
import { api } from '../api/api'
import { Verdict } from '../evidence/Verdict'
import { shortDate } from '../ui/dates'
import { Find } from '../ui/Find'
import { ListTable } from '../ui/ListTable'
import { Loaded } from '../ui/Loaded'
import { columnsOf, features, type ListColumn } from '../ui/table'

const pageSize = 25
const isOrder = (id: string | undefined): id is TrialOrder => trialOrders.some((order) => order === id)

const columnsFor = (verdicts: TrialVerdicts | undefined): readonly ListColumn<TrialLine>[] => [
  {
    id: 'title',
    head: 'trial',
    value: ({ title }) => title,
    cell: ({ id, title }) => (
      <Link className="plain-link font-semibold" to={`/trials/${id}/answers`}>
        {title}
      </Link>
    ),
  },
  { id: 'unit', head: 'unit', value: ({ unit }) => unit },
  { id: 'rig', head: 'rig', value: ({ rig }) => rig },
  { id: 'verdict', head: 'verdict', cell: ({ id }) => sayVerdicts(verdicts?.[id], verdicts !== undefined) },
  { id: 'by', head: 'by', value: ({ by }) => by },
  {
    id: 'startedAt',
    head: 'started',
    value: ({ startedAt }) => startedAt,
    cell: ({ startedAt }) => <span className="whitespace-nowrap">{shortDate(startedAt)}</span>,
  },
  { id: 'revisions', head: 'rigs', value: ({ revisions }) => revisions, right: true },
  { id: 'entries', head: 'entries', value: ({ entries }) => entries, right: true },
]

/** "5 met, 1 not shown", each with its shape: how the claims of a trial stand, at a glance. */
function sayVerdicts(counts: TrialVerdicts[string] | undefined, ready: boolean): ReactNode {
  if (!counts) return ready ? '–' : '…'
  if (!counts.length) return 'no claim'
  return (
    <span className="flex flex-wrap gap-x-3">
      {counts.map(({ outcome, count }) => (
        <span key={outcome} className="whitespace-nowrap">
          <Verdict outcome={outcome} count={count} />
        </span>
      ))}
    </span>
  )
}

/** All trials, a page at a time; searched and sorted by the server, so that none is left out. */
export function TrialList({ all }: { all: number }) {
  const [search, setSearch] = useState('')
  const [away, setAway] = useState(false)
  const [newest, setNewest] = useState(false)
  const [sorting, setSorting] = useState<SortingState>([{ id: 'startedAt', desc: true }])
  const [pagination, setPagination] = useState<PaginationState>({ pageIndex: 0, pageSize })
  const wanted = useDeferredValue(search)
  const [order] = sorting
  const query = api.useTrialsQuery({
    ...(wanted.trim() ? { search: wanted.trim() } : {}),
    ...(away ? { away: 'yes' as const } : {}),
    ...(newest ? { newest: 'yes' as const } : {}),
    by: isOrder(order?.id) ? order.id : 'startedAt',
    way: order?.desc === false ? 'up' : 'down',
    limit: pageSize,
    offset: pagination.pageIndex * pageSize,
  })
  return (
    <>
      <h2>{away ? 'Trials put away' : 'All trials'}</h2>
      <div className="no-print flex flex-wrap items-baseline gap-x-5">
        {all > pageSize / 5 && (
          <Find
            label="Find a trial"
            value={search}
            onChange={(text) => {
              setSearch(text)
              setPagination((before) => ({ ...before, pageIndex: 0 }))
            }}
          />
        )}
        <label className="mb-2 flex items-center gap-2">
          <input
            type="checkbox"
            checked={newest}
            onChange={({ target }) => {
              setNewest(target.checked)
              setPagination((before) => ({ ...before, pageIndex: 0 }))
            }}
          />
          Only the newest of each unit
        </label>
      </div>
      <Loaded query={query} what="the list">
        {({ trials, total, away: putAway }) => (
          <>
            <Lines
              trials={trials}
              total={total}
              search={wanted}
              sorting={sorting}
              onSorting={(next) => {
                setSorting(next)
                setPagination((before) => ({ ...before, pageIndex: 0 }))
              }}
              pagination={pagination}
              onPagination={setPagination}
            />
            {(putAway > 0 || away) && (
              <button
                type="button"
                className="plain-link no-print mt-3"
                onClick={() => {
                  setAway(!away)
                  setPagination((before) => ({ ...before, pageIndex: 0 }))
                }}
              >
                {away ? 'Back to the trials on the bench' : `${putAway} put away`}
              </button>
            )}
          </>
        )}
      </Loaded>
    </>
  )
}

interface LinesProps {
  readonly trials: TrialLine[]
  readonly total: number
  readonly search: string
  readonly sorting: SortingState
  readonly onSorting: (next: SortingState) => void
  readonly pagination: PaginationState
  readonly onPagination: (next: PaginationState) => void
}

function Lines({ trials, total, search, sorting, onSorting, pagination, onPagination }: LinesProps) {
  const ids = useMemo(() => trials.map(({ id }) => id), [trials])
  const { data: verdicts } = api.useVerdictsQuery(ids, { skip: !ids.length })
  const columns = useMemo(() => columnsOf(columnsFor(verdicts)), [verdicts])
  const table = useTable({
    features,
    columns,
    data: trials,
    getRowId: ({ id }) => id,
    manualSorting: true,
    manualFiltering: true,
    manualPagination: true,
    enableSortingRemoval: false,
    rowCount: total,
    state: { sorting, pagination },
    onSortingChange: (change) => onSorting(typeof change === 'function' ? change(sorting) : change),
    onPaginationChange: (change) => onPagination(typeof change === 'function' ? change(pagination) : change),
  })
  const first = pagination.pageIndex * pageSize + 1
  return (
    <>
      <ListTable
        table={table}
        label="All trials"
        none={`No trial has “${search}” in its title, unit, rig or initials.`}
      />
      {total > pageSize && (
        <nav className="no-print mt-2 flex items-baseline gap-4" aria-label="Pages of the list">
          <button
            type="button"
            className="action"
            disabled={!table.getCanPreviousPage()}
            onClick={() => table.previousPage()}
          >
            Page before
          </button>
          <span>
            {first} to {Math.min(total, first + pageSize - 1)} of {total}
          </span>
          <button
            type="button"
            className="action"
            disabled={!table.getCanNextPage()}
            onClick={() => table.nextPage()}
          >
            Next page
          </button>
        </nav>
      )}
    </>
  )
}
