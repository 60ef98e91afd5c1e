import { recordedOf, sayDisplay, sayWarmth, warmthOf } from '@even-watt/core'
import { useState } from 'react'
import { DoubtMark } from '../trials/DoubtMark'
import { EntryMarks } from '../trials/EntryMarks'
import { Struck } from '../trials/Struck'
import { TakingBack } from '../trials/TakingBack'
import { useDoubt } from '../trials/useDoubt'
import { useTrial } from '../trials/useTrial'
import { shortTime } from '../ui/dates'
import { showValue } from '../ui/readValue'

/** Every reading without load, those taken back struck through. */
export function NoLoadReadings() {
  const { analysis, view } = useTrial()
  const { whyDoubted, readAgain } = useDoubt()
  const [takingBack, setTakingBack] = useState<string>()
  const all = recordedOf(analysis.record, 'no load')
  if (!all.length) return <p className="mt-4">No reading without load yet.</p>
  return (
    <section className="mt-4">
      <h2>Readings</h2>
      <ul>
        {all.map((entry) => {
          const why = view.record.struckWhy.get(entry.id)
          return (
            <li key={entry.id} className="flex flex-wrap items-baseline gap-x-4 border-b border-rule py-1">
              <span className="text-quiet figures">{shortTime(entry.at)}</span>
              <span className={why === undefined ? '' : 'line-through opacity-70'}>
                {entry.reading.mode === 'search' && 'search mode: '}
                {entry.reading.values.map((value, i) => (
                  <span key={i} className="mr-3">
                    <span className="text-quiet">{value.quantity}</span>{' '}
                    <span className="figures">{showValue(value.quantity, value.value, value.decimals)}</span>
                    {value.grade !== 'measured' && <span className="text-ochre"> {value.grade}</span>}
                  </span>
                ))}
                {entry.reading.temperatures && (
                  <span className="text-quiet mr-3">
                    {warmthOf(entry.reading.temperatures, analysis.record.revision.rig)
                      .map(sayWarmth)
                      .join(', ')}
                  </span>
                )}
                <span className="text-quiet">
                  {[sayDisplay(entry.reading.display), entry.reading.observed, entry.reading.note]
                    .filter(Boolean)
                    .join(' · ')}
                </span>
              </span>
              <EntryMarks entry={entry} />
              {why === undefined && (
                <span className="ml-auto">
                  <DoubtMark
                    of={{ what: 'reading', entry: entry.id }}
                    why={whyDoubted(entry.id)}
                    what="this reading"
                    again={readAgain(entry)}
                  />
                </span>
              )}
              {why === undefined ? (
                <button type="button" className="plain-link no-print" onClick={() => setTakingBack(entry.id)}>
                  Take back
                </button>
              ) : (
                <Struck entry={entry.id} why={why} what="the reading without load" />
              )}
            </li>
          )
        })}
      </ul>
      <TakingBack entry={takingBack} what="this reading" onDone={() => setTakingBack(undefined)} />
    </section>
  )
}
