import { Comparison, sentences, type Problem, type StoredComparison } from '@even-watt/contract'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { v7 } from 'uuid'
import { safeParse } from 'zod/mini'
import { api, problemOf } from '../api/api'
import { answer } from '../ui/answers'
import { drafts, resembles } from '../ui/browserStore'
import { pickedIn } from './picked'

/** What is on screen, saved or not: kept in the tab until it is saved. */
export function useComparison(stored: StoredComparison | undefined) {
  const key = `comparison ${stored?.id ?? 'new'}`
  const start: Comparison = stored
    ? {
        name: stored.name,
        of: stored.of,
        ...(stored.weights ? { weights: stored.weights } : {}),
        ...(stored.note ? { note: stored.note } : {}),
      }
    : { name: '', of: pickedIn(location.search) }
  const [made, setMade] = useState<Comparison>(() => {
    const kept = drafts.read(key)
    return resembles({ name: '', of: [] }, kept) ? (kept as Comparison) : start
  })
  const [changed, setChanged] = useState(() => drafts.read(key) !== undefined)
  const [problem, setProblem] = useState<Problem>()
  const [save, { isLoading: saving }] = api.useSaveComparisonMutation()
  const [remove] = api.useDeleteComparisonMutation()
  const navigate = useNavigate()
  const change = (patch: Partial<Comparison>) => {
    const next = { ...made, ...patch }
    setMade(next)
    setChanged(true)
    drafts.keep(key, next)
  }
  const checked = safeParse(Comparison, made)
  /** What is wrong with the choice, whatever its name. */
  const [fault] = checked.success
    ? []
    : sentences(checked.error).filter(({ path }) => path.startsWith('of') || path.startsWith('weights'))
  return {
    made,
    change,
    changed,
    problem,
    saving,
    fault: fault?.message,
    nameFault: checked.success
      ? undefined
      : sentences(checked.error).find(({ path }) => path === 'name')?.message,
    remove: async () => {
      if (!stored) return
      const { id, version, name } = stored
      try {
        await remove({ id, editedFrom: version }).unwrap()
      } catch (error) {
        setProblem(problemOf(error))
        return
      }
      drafts.drop(key)
      await navigate('/compare')
      answer(`${name} is deleted.`, () => {
        void save({ id, editedFrom: 0, content: start })
          .unwrap()
          .then(() => answer(`${name} is back.`))
          .catch((error: unknown) => answer(problemOf(error).title))
      })
    },
    save: async () => {
      if (!checked.success) return
      try {
        const id = stored?.id ?? v7()
        await save({ id, editedFrom: stored?.version ?? 0, content: checked.data }).unwrap()
        drafts.drop(key)
        setChanged(false)
        setProblem(undefined)
        answer(`Saved as ${checked.data.name}.`)
        if (!stored) await navigate(`/compare/${id}`, { replace: true })
      } catch (error) {
        setProblem(problemOf(error))
      }
    },
  }
}
export type ComparisonState = ReturnType<typeof useComparison>
