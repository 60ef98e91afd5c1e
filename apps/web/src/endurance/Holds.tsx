import { heatOf, holdsOf, isFigure, ranFor, sayFigure, type Analysis } from '@even-watt/core'
import { nameOfLog, sayMinutes } from '../logs/words'

/** Holds in sentences: what was carried for how long, and how warm it got. */
export function Holds({ analysis }: { readonly analysis: Analysis }) {
  const holds = analysis.logs.filter(
    ({ entry }) => entry.reading.what.includes('hold') || entry.reading.what === 'soak',
  )
  if (!holds.length) return null
  const steps = holdsOf(analysis)
  return (
    <section className="mt-3">
      <h2>Holds</h2>
      {holds.map((log) => {
        const step = steps.find((one) => one.step.id === log.entry.id)
        return (
          <div key={log.entry.id} className="mb-2 max-w-4xl">
            <p>
              {nameOfLog(log)}: {step && isFigure(step.P_C) ? `${sayFigure(step.P_C)} for ` : ''}
              {sayMinutes(ranFor(log))}
              {log.ended ? `, ended: ${log.ended.why}` : ', it goes on'}.
            </p>
            {heatOf(log, analysis).map(({ place, sentence }) => (
              <p key={place} className="text-quiet">
                {sentence}
              </p>
            ))}
          </div>
        )
      })}
    </section>
  )
}
