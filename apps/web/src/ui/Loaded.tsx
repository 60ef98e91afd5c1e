import { useEffect, type ReactNode } from 'react'
import { problemOf } from '../api/api'
import { ProblemNotice } from './Notice'

/** As much of a query as its states need. */
export interface QueryState<T> {
  readonly data?: T | undefined
  readonly error?: unknown
  readonly isLoading: boolean
  readonly refetch: () => unknown
}

interface Props<T> {
  readonly query: QueryState<T>
  readonly what: string
  readonly children: (data: T) => ReactNode
}

/** Loading, failed, or there: the three states of everything that comes from the server. */
export function Loaded<T>({ query, what, children }: Props<T>) {
  if (query.data !== undefined) return children(query.data)
  if (query.isLoading) {
    return (
      <p className="text-quiet py-6" role="status">
        Reading {what} …
      </p>
    )
  }
  return <Failed query={query} />
}

const again = 2000

/** What failed, in words. A server or a database that is away is asked again by itself. */
function Failed({ query }: { query: QueryState<unknown> }) {
  const problem = problemOf(query.error)
  const away = problem.status === 0 || problem.status === 503
  const { refetch, error } = query
  useEffect(() => {
    if (!away) return undefined
    const waiting = setTimeout(() => void refetch(), again)
    return () => clearTimeout(waiting)
  }, [away, refetch, error])
  return (
    <ProblemNotice problem={problem}>
      <button type="button" className="action mt-2" onClick={() => void query.refetch()}>
        Try again
      </button>
    </ProblemNotice>
  )
}
