import { Unit, type Problem } from '@even-watt/contract'
import { mustKnowWave } from '@even-watt/core'
import { useState } from 'react'
import { parse } from 'zod/mini'
import { api, problemOf } from '../api/api'
import { useTrial } from '../trials/useTrial'
import { ProblemNotice } from '../ui/Notice'

const waves = [
  ['sine', 'A sine'],
  ['stepped', 'Stepped, or “modified”'],
] as const

/** Asks for the one thing on which the meters at the outlet hang, where it is not known: in one tap, and nothing else changes. */
export function AskWave() {
  const { trial, analysis } = useTrial()
  const { unit: frozen } = analysis.record.revision
  const { data: units } = api.useUnitsQuery()
  const [save] = api.useSaveUnitMutation()
  const [add, { isLoading }] = api.useAddRevisionMutation()
  const [problem, setProblem] = useState<Problem>()
  const newest = trial.revisions.at(-1)
  const now = units?.find(({ id }) => id === frozen.id)
  if (!newest || !now || !mustKnowWave(analysis)) return null
  const say = async (wave: (typeof waves)[number][0]) => {
    try {
      await save({ id: now.id, editedFrom: now.version, content: { ...parse(Unit, now), wave } }).unwrap()
      await add({
        trial: trial.id,
        after: newest.number,
        why: `its label says ${wave}`,
        touched: [],
        rig: newest.rig,
        unit: 'as it is now',
      }).unwrap()
    } catch (error) {
      setProblem(problemOf(error))
    }
  }
  return (
    <section aria-label="What wave" className="no-print border-b border-rule py-3">
      <p>
        <strong>What wave does its label promise?</strong> The meters at the outlet are made for a sine.
        Nothing that they read counts until that is known.
      </p>
      <div className="mt-2 flex flex-wrap gap-3">
        {waves.map(([wave, words]) => (
          <button
            key={wave}
            type="button"
            className="action"
            disabled={isLoading}
            onClick={() => void say(wave)}
          >
            {words}
          </button>
        ))}
      </div>
      {problem && <ProblemNotice problem={problem} />}
    </section>
  )
}
