import type { Picked } from '@even-watt/contract'
import type { ComparedState } from './useCompared'

interface Props {
  readonly of: readonly Picked[]
  readonly state: ComparedState
  readonly onChange: (of: readonly Picked[]) => void
}

/** What is compared, the first of which the others are held against; rigs chosen, and their order. */
export function Chosen({ of, state, onChange }: Props) {
  const put = (i: number, picked: Picked) => onChange(of.map((one, k) => (k === i ? picked : one)))
  return (
    <section className="no-print mb-2">
      <ol>
        {of.map((picked, i) => {
          const trial = state.documents.get(picked.trial)?.trial
          const title = trial?.title ?? (state.fault ? 'a trial that is not here' : 'reading …')
          return (
            <li
              key={`${picked.trial} ${i}`}
              className="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-rule py-1"
            >
              <span className="min-w-56 font-semibold">{title}</span>
              {trial && trial.revisions.length > 1 && (
                <select
                  className="input w-auto max-w-72"
                  aria-label={`Rig of ${title}`}
                  value={picked.revision}
                  onChange={(event) => put(i, { ...picked, revision: Number(event.target.value) })}
                >
                  {trial.revisions.map(({ number, why }) => (
                    <option key={number} value={number}>
                      rig {number}: {why}
                    </option>
                  ))}
                </select>
              )}
              {i === 0 ? (
                <span className="text-quiet">the others are held against it</span>
              ) : (
                <button
                  type="button"
                  className="plain-link"
                  onClick={() => onChange([picked, ...of.filter((one) => one !== picked)])}
                >
                  Hold the others against it
                </button>
              )}
              <button
                type="button"
                className="plain-link ml-auto"
                aria-label={`Take out ${title}`}
                onClick={() => onChange(of.filter((one) => one !== picked))}
              >
                Take out
              </button>
            </li>
          )
        })}
      </ol>
    </section>
  )
}
