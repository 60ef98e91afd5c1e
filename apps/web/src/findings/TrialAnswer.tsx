import { answerOf } from '@even-watt/core'
import type { TrialState } from '../trials/useTrial'

/** The trial's question, and its answer in a sentence; then what was wrong on the bench. */
export function TrialAnswer({ state: { trial, view } }: { state: TrialState }) {
  const { claims, bench } = answerOf(view.findings, view.analyses)
  return (
    <div className="mb-3 max-w-[46rem] text-[1.1rem]">
      {trial.purpose && <p className="text-quiet">{trial.purpose}</p>}
      {view.findings.length > 0 && <p className="font-semibold">{claims}</p>}
      {bench.map((sentence) => (
        <p key={sentence}>{sentence}</p>
      ))}
    </div>
  )
}
