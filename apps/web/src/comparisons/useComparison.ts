import { Comparison, sentences, type Problem, type StoredComparison } from '@even-watt/contract'
import { useRef, useState } from 'react'
import { useNavigate } from 'react-router'
import { v7 } from 'uuid'
import { safeParse } from 'zod/mini'
import { api, problemOf } from '../api/api'
import { answer } from '../ui/answers'
import { useKept } from '../ui/useKept'
import { pickedIn } from './picked'

/** What is on screen, saved or not: kept in the tab until it is saved. */
export function useComparison(stored: StoredComparison | undefined) {
  // Each address that asks for a comparison has a draft of its own.
  const [key] = useState(() => `comparison ${stored?.id ?? `new ${location.search}`}`)
  const start: Comparison = stored
    ? {
        name: stored.name,
        of: stored.of,
        ...(stored.weights ? { weights: stored.weights } : {}),
        ...(stored.figures ? { figures: stored.figures } : {}),
        ...(stored.causes ? { causes: stored.causes } : {}),
        ...(stored.note ? { note: stored.note } : {}),
      }
    : { name: '', of: pickedIn(location.search) }
  const { typed: made, ...kept } = useKept<Comparison>(key, start, {
    name: '',
    of: [{ trial: '', revision: 1 }],
  })
  // The version the tester began from: another tab's save must not silently become it.
  const editedFrom = useRef(stored?.version ?? 0)
  const [problem, setProblem] = useState<Problem>()
  const [save, { isLoading: saving }] = api.useSaveComparisonMutation()
  const [remove] = api.useDeleteComparisonMutation()
  const navigate = useNavigate()
  const change = (patch: Partial<Comparison>) => kept.put({ ...made, ...patch })
  const checked = safeParse(Comparison, made)
  /** What is wrong with the choice, whatever its name. */
  const [fault] = checked.success
    ? []
    : sentences(checked.error).filter(
        ({ path }) => path.startsWith('of') || path.startsWith('weights') || path.startsWith('figures'),
      )
  return {
    made,
    change,
    changed: kept.changed,
    problem,
    saving,
    fault: fault?.message,
    nameFault: checked.success
      ? undefined
      : sentences(checked.error).find(({ path }) => path === 'name')?.message,
    remove: async () => {
      if (!stored) return
      const { id, name } = stored
      try {
        await remove({ id, editedFrom: editedFrom.current }).unwrap()
      } catch (error) {
        setProblem(problemOf(error))
        return
      }
      kept.discard()
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
        const { version } = await save({
          id,
          editedFrom: editedFrom.current,
          content: checked.data,
        }).unwrap()
        editedFrom.current = version
        kept.saved(made, made)
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
