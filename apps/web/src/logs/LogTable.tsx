import { quantityData, say, type Log } from '@even-watt/core'
import { useState } from 'react'
import { Strip } from '../photographs/Strip'
import { DoubtMark } from '../trials/DoubtMark'
import { Struck } from '../trials/Struck'
import { TakingBack } from '../trials/TakingBack'
import { useDoubt } from '../trials/useDoubt'
import { useTrial } from '../trials/useTrial'
import { clockTime, shortTime } from '../ui/dates'
import { showValue } from '../ui/readValue'
import type { NameOf } from './chart'
import { sayMinutes } from './words'

interface Props {
  readonly log: Log
  readonly nameOf: NameOf
  readonly editable?: boolean
}

/** Every look at a log and every table in it, in order of time; those taken back struck through. */
export function LogTable({ log, nameOf, editable = false }: Props) {
  const { view, analysis } = useTrial()
  const { whyDoubted } = useDoubt()
  const [takingBack, setTakingBack] = useState<string>()
  const struck = analysis.record.struck.flatMap((entry) =>
    (entry.kind === 'check-in' || entry.kind === 'log file') && entry.reading.log === log.entry.id
      ? [entry]
      : [],
  )
  if (!log.checkIns.length && !log.files.length && !struck.length)
    return <p className="text-quiet mt-3">Nothing is read in it yet.</p>
  const button = (entry: string) =>
    editable && (
      <button type="button" className="plain-link no-print ml-auto" onClick={() => setTakingBack(entry)}>
        Take back
      </button>
    )
  return (
    <section className="mt-4">
      <h2>Readings</h2>
      <ul>
        {log.files.map((file) => (
          <li key={file.id} className="flex flex-wrap items-baseline gap-x-4 border-b border-rule py-1">
            <span className="text-quiet figures">{clockTime(file.reading.from)}</span>
            <span className="break-words">
              {file.reading.source.name}: {file.reading.rows} rows over {sayMinutes(file.reading.seconds)}
              {file.reading.said.length > 0 && (
                <span className="text-ochre"> {file.reading.said.join(' ')}</span>
              )}
            </span>
            {button(file.id)}
          </li>
        ))}
        {log.checkIns.map(({ entry, at }) => {
          const {
            values,
            charge,
            batteries = [],
            temperatures = [],
            fan,
            event,
            ended,
            observed,
            alarm,
          } = entry.reading
          return (
            <li key={entry.id} className="flex flex-wrap items-baseline gap-x-4 border-b border-rule py-1">
              <span className="figures w-28 whitespace-nowrap">{sayMinutes(at)}</span>
              {values.map((value, i) => (
                <span key={i}>
                  <span className="text-quiet">{value.quantity}</span>{' '}
                  <span className="figures">
                    {showValue(value.quantity, value.value, value.decimals)}{' '}
                    {quantityData[value.quantity].unit}
                  </span>
                  {value.grade !== 'measured' && <span className="text-ochre"> {value.grade}</span>}
                </span>
              ))}
              {charge !== undefined && <span>gauge {say(100 * charge, '%', 2)}</span>}
              {batteries.map(({ battery, volts, amps, charge: share }) => (
                <span key={battery}>
                  <span className="text-quiet">{nameOf(battery) ?? 'battery'}</span>{' '}
                  {[
                    volts !== undefined && say(volts, 'V', 4),
                    amps !== undefined && say(amps, 'A'),
                    share !== undefined && say(100 * share, '%', 2),
                  ]
                    .filter(Boolean)
                    .join(' ')}
                </span>
              ))}
              {temperatures.map(({ place, part, celsius }, i) => (
                <span key={i}>
                  <span className="text-quiet">{part ? (nameOf(part) ?? 'part') : place}</span>{' '}
                  {say(celsius, '°C')}
                </span>
              ))}
              <span className="text-quiet">
                {[fan && `fan ${fan}`, alarm && alarm !== 'none' && `${alarm} alarm`, event, observed]
                  .filter(Boolean)
                  .join(' · ')}
              </span>
              {ended && <span className="font-semibold">ended: {ended}</span>}
              {editable && (
                <span className="no-print">
                  <Strip subject={{ about: entry.id }} of={`the look at ${sayMinutes(at)}`} />
                </span>
              )}
              {(editable || whyDoubted(entry.id) !== undefined) && (
                <DoubtMark
                  of={{ what: 'reading', entry: entry.id }}
                  why={whyDoubted(entry.id)}
                  what={`the look at ${sayMinutes(at)}`}
                />
              )}
              {button(entry.id)}
            </li>
          )
        })}
        {struck.map((entry) => (
          <li key={entry.id} className="flex flex-wrap items-baseline gap-x-4 border-b border-rule py-1">
            <span className="line-through opacity-70">
              {entry.kind === 'log file' ? entry.reading.source.name : `check-in of ${shortTime(entry.at)}`}
            </span>
            <Struck
              entry={entry.id}
              why={view.record.struckWhy.get(entry.id) ?? ''}
              what="the reading of this log"
            />
          </li>
        ))}
      </ul>
      <TakingBack entry={takingBack} what="this reading" onDone={() => setTakingBack(undefined)} />
    </section>
  )
}
