import type { Picked, TrialDocument } from '@even-watt/contract'
import { named, viewTrial, type Compared } from '@even-watt/core'
import { useEffect, useMemo, useState } from 'react'
import { api, problemOf } from '../api/api'
import { useAppDispatch } from '../store'

export interface ComparedState {
  readonly list: readonly Compared[]
  readonly documents: ReadonlyMap<string, TrialDocument>
  /** Trials that are asked for and not here yet. */
  readonly waiting: boolean
  /** Why one of them is not here, in a sentence. */
  readonly fault: string | undefined
}

/** Trials as they stand on the server, worked out and named; each is fetched once. */
export function useCompared(of: readonly Picked[]): ComparedState {
  const dispatch = useAppDispatch()
  const [documents, setDocuments] = useState<ReadonlyMap<string, TrialDocument>>(new Map())
  const [fault, setFault] = useState<string>()
  const wanted = [...new Set(of.map(({ trial }) => trial))].join(' ')
  useEffect(() => {
    let stale = false
    const fetch = async () => {
      setFault(undefined)
      for (const id of wanted.split(' ').filter(Boolean)) {
        const document = await dispatch(
          api.endpoints.document.initiate(id, { subscribe: false, forceRefetch: true }),
        ).unwrap()
        if (stale) return
        setDocuments((known) => new Map(known).set(id, document))
      }
    }
    void fetch().catch((error: unknown) => {
      if (stale) return
      const { title, status } = problemOf(error)
      setFault(status === 404 ? 'One of these trials is not on this bench any more: take it out.' : title)
    })
    return () => {
      stale = true
    }
  }, [wanted, dispatch])
  const views = useMemo(
    () =>
      new Map(
        [...documents].map(([id, { trial, entries }]) => [id, { trial, view: viewTrial(trial, entries) }]),
      ),
    [documents],
  )
  const list = useMemo(
    () =>
      named(
        of.flatMap(({ trial: id, revision }) => {
          const found = views.get(id)
          const analysis = found?.view.analyses.find(({ record }) => record.revision.number === revision)
          return found && analysis ? [{ trial: found.trial, analysis, findings: found.view.findings }] : []
        }),
      ),
    [of, views],
  )
  return {
    list,
    documents,
    fault,
    waiting: fault === undefined && of.some(({ trial }) => !documents.has(trial)),
  }
}
