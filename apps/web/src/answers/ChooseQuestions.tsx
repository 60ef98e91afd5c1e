import type { Question } from '@even-watt/contract'
import { askable, questionsOf, wishes, type AskedOfTrial } from '@even-watt/core'
import { useSaveSettings } from '../trials/useSaveSettings'
import { ProblemNotice } from '../ui/Notice'

/** Which questions a trial asks: by what one wants of it, or one by one. */
export function ChooseQuestions({ asked }: { readonly asked: AskedOfTrial }) {
  const { save, problem } = useSaveSettings()
  const chosen = new Set(questionsOf(asked))
  const all = askable(asked)
  const put = (ids: readonly Question[]) => {
    // In a tester’s order, whichever was chosen first.
    const questions = all.flatMap(({ id }) => (ids.includes(id) ? [id] : []))
    if (questions.length) void save({ questions })
  }
  return (
    <details className="no-print mt-4">
      <summary className="cursor-pointer">What is asked of it</summary>
      <div className="mt-2 flex flex-wrap gap-3">
        {Object.entries(wishes).map(([wish, ids]) => (
          <button key={wish} type="button" className="action" onClick={() => put(ids)}>
            {wish}
          </button>
        ))}
      </div>
      <ul className="mt-2">
        {all.map(({ id, asks }) => (
          <li key={id}>
            <label className="flex min-h-10 items-center gap-2 md:min-h-0">
              <input
                type="checkbox"
                checked={chosen.has(id)}
                onChange={(event) =>
                  put(event.target.checked ? [...chosen, id] : [...chosen].filter((one) => one !== id))
                }
              />
              {asks}
            </label>
          </li>
        ))}
      </ul>
      <p className="text-quiet">What is not asked is not shown as open. What was read of it stays.</p>
      {problem && <ProblemNotice problem={problem} />}
    </details>
  )
}
