import { heatOf, isFigure, meanPower, ranFor, runWords, sayFigure, type Analysis } from '@even-watt/core'
import { nameOfLog, sayMinutes } from '../logs/words'

/** Holds in sentences: what was carried for how long, and how warm it got. */
export function Holds({ analysis }: { readonly analysis: Analysis }) {
  const holds = analysis.logs.filter(
    ({ entry }) => entry.reading.what.includes('hold') || entry.reading.what === 'soak',
  )
  if (!holds.length) return null
  return (
    <section className="mt-3">
      <h2>Holds</h2>
      {holds.map((log) => {
        const mean = meanPower(log)
        return (
          <div key={log.entry.id} className="mb-2 max-w-4xl">
            <p>
              {nameOfLog(log)}: {isFigure(mean) ? `${sayFigure(mean)} in the mean for ` : ''}
              {sayMinutes(ranFor(log))}
              {log.ended ? `, ended: ${log.ended.why}` : ', it goes on'}.
            </p>
            <p className="text-quiet">{runWords(log, analysis).join(' ')}</p>
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
