import { answerOf, draftAnswer, driftOf } from '@even-watt/core'
import { useState } from 'react'
import { useRules } from '../suits/useRules'
import type { TrialState } from '../trials/useTrial'
import { OwnWords } from './OwnWords'

interface Props {
  readonly state: TrialState
  readonly editable?: boolean
}

/** The trial's question, and its answer in three sentences; then what was wrong on the bench, and what is open. */
export function TrialAnswer({ state: { trial, view }, editable = false }: Props) {
  const rules = useRules()
  const [writing, setWriting] = useState(false)
  const { bench } = answerOf(view.findings, view.analyses)
  const draft = draftAnswer(view, trial, rules)
  const own = trial.answer
  const said = own?.said ?? draft.sentences
  const isPreProduction = trial.revisions.at(-1)?.unit.provenance?.preProduction === true
  const drift = own ? driftOf(own, draft) : []
  return (
    <div className="mb-3 max-w-[46rem]">
      <div className="text-[1.1rem]">
        {trial.purpose && <p className="text-quiet">{trial.purpose}</p>}
        {writing ? (
          <OwnWords draft={draft.sentences} own={own} onDone={() => setWriting(false)} />
        ) : (
          said.map((sentence, i) => (
            <p key={sentence} className={i === 0 ? 'font-semibold' : ''}>
              {sentence}
            </p>
          ))
        )}
        {drift.length > 0 && (
          <div className="text-ochre text-[0.95rem]" role="note">
            <p className="font-bold">▲ The evidence has moved since these words were written.</p>
            <ul>
              {drift.map(({ then, now }, i) => (
                <li key={i}>
                  {then ? `It was: “${then}” ` : 'It said nothing there. '}
                  {now ? `It is: “${now}”` : 'It says nothing there any more.'}
                </li>
              ))}
            </ul>
          </div>
        )}
        {isPreProduction && (
          <p className="text-ochre">A sample from before production: units that are sold may differ.</p>
        )}
        {bench.map((sentence) => (
          <p key={sentence}>{sentence}</p>
        ))}
      </div>
      {editable && !writing && draft.sentences.length > 0 && (
        <button type="button" className="plain-link no-print" onClick={() => setWriting(true)}>
          {own ? 'Change your words' : 'Put it in your words'}
        </button>
      )}
      {draft.open.length > 0 && (
        <div className="mt-2">
          <p className="font-semibold">Open</p>
          <ul className="text-[0.95rem]">
            {draft.open.map((sentence) => (
              <li key={sentence}>{sentence.charAt(0).toUpperCase() + sentence.slice(1)}</li>
            ))}
          </ul>
        </div>
      )}
    </div>
  )
}
