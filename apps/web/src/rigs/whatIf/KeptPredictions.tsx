import { readingsOf, type Analysis } from '@even-watt/core'
import { useState } from 'react'
import { TakingBack } from '../../trials/TakingBack'
import { useTrial } from '../../trials/useTrial'
import { CameTrue } from './CameTrue'

/** Predictions kept on one revision, beside what the next one then showed. */
export function KeptPredictions({ analysis }: { analysis: Analysis }) {
  const { view } = useTrial()
  const [takingBack, setTakingBack] = useState<string>()
  const { revision } = analysis.record
  const predictions = readingsOf(analysis.record, 'prediction')
  if (!predictions.length) return null
  return (
    <section className="mt-5">
      <h2>Kept on rig {revision.number}</h2>
      {predictions.map((entry) => (
        <div key={entry.id} className="mt-1">
          <h3 className="flex gap-4 font-semibold">
            {entry.reading.words}
            <button
              type="button"
              className="plain-link no-print font-normal"
              onClick={() => setTakingBack(entry.id)}
            >
              Take back
            </button>
          </h3>
          <CameTrue entry={entry} analyses={view.analyses} />
        </div>
      ))}
      <TakingBack entry={takingBack} what="this prediction" onDone={() => setTakingBack(undefined)} />
    </section>
  )
}
