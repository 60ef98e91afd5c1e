import { Unit } from '@even-watt/contract'
import { mustKnowWave } from '@even-watt/core'
import { parse } from 'zod/mini'
import { api } from '../api/api'
import { useRedescribed } from '../trials/useRedescribed'
import { useTrial } from '../trials/useTrial'
import { ProblemNotice } from '../ui/Notice'

const waves = [
  ['sine', 'A sine'],
  ['stepped', 'Stepped, or “modified”'],
] as const

/** Asks for the one thing on which the meters at the outlet hang, where it is not known: in one tap, and nothing else changes. */
export function AskWave() {
  const { analysis } = useTrial()
  const { unit: frozen } = analysis.record.revision
  const { data: units } = api.useUnitsQuery()
  const [save] = api.useSaveUnitMutation()
  const { take, busy, problem } = useRedescribed()
  const now = units?.find(({ id }) => id === frozen.id)
  if (!now || !mustKnowWave(analysis)) return null
  const say = (wave: (typeof waves)[number][0]) =>
    take(`its label says ${wave}`, { unit: 'as it is now' }, () =>
      save({ id: now.id, editedFrom: now.version, content: { ...parse(Unit, now), wave } }).unwrap(),
    )
  return (
    <section aria-label="What wave" className="no-print border-b border-rule py-3">
      <p>
        <strong>What wave does its label promise?</strong> The meters at the outlet are made for a sine.
        Nothing that they read counts until that is known.
      </p>
      <div className="mt-2 flex flex-wrap gap-3">
        {waves.map(([wave, words]) => (
          <button key={wave} type="button" className="action" disabled={busy} onClick={() => void say(wave)}>
            {words}
          </button>
        ))}
      </div>
      {problem && <ProblemNotice problem={problem} />}
    </section>
  )
}
