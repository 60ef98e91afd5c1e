import { recordedOf, say, type Analysis, type TrialRecord } from '@even-watt/core'
import { Fragment, useState } from 'react'
import { Struck } from '../trials/Struck'
import { TakingBack } from '../trials/TakingBack'
import { Fig } from '../ui/Fig'
import { Strip } from '../photographs/Strip'
import { AttemptDetail } from './AttemptDetail'
import { FitTable } from '../ui/FitTable'

interface Props {
  readonly record: TrialRecord
  readonly analysis: Analysis
  readonly editable?: boolean
}

const outcomeColour = {
  started: 'text-moss',
  'started late': 'text-ochre',
  stalled: 'text-madder',
  tripped: 'text-madder',
  'tripped and recovered': 'text-ochre',
} as const

/** Attempts on one revision, in the order of their numbers: what was seen of each, how it ended, and who stopped it. */
export function AttemptTable({ record, analysis, editable = false }: Props) {
  const [takingBack, setTakingBack] = useState<string>()
  const [open, setOpen] = useState<string>()
  const all = [...recordedOf(analysis.record, 'motors')].sort((a, b) => a.reading.number - b.reading.number)
  if (!all.length) return <p>No attempt on this rig yet.</p>
  const figures = new Map(analysis.motors.attempts.map((attempt) => [attempt.entry.id, attempt]))
  const columns = editable ? 10 : 9
  return (
    <div>
      <FitTable className="md:min-w-[46rem]">
        <thead>
          <tr>
            <th>no.</th>
            <th>motor, its state</th>
            <th className="right max-md:hidden">base load, W</th>
            <th className="right max-md:hidden">bank before, V</th>
            <th className="right max-md:hidden">worst cycle, A</th>
            <th className="right max-md:hidden">highest, W</th>
            <th className="right max-md:hidden">lowest at C, V</th>
            <th className="right max-md:hidden">lowest at B, V</th>
            <th>outcome</th>
            {editable && <th className="no-print" />}
          </tr>
        </thead>
        <tbody>
          {all.map(({ id, reading }) => {
            const why = record.struckWhy.get(id)
            const attempt = figures.get(id)
            const shown = open === id
            return (
              <Fragment key={id}>
                <tr className={why === undefined ? '' : '[&>td:not(:last-child)]:line-through'}>
                  <td className="figures">{reading.number}</td>
                  <td>
                    {reading.load}
                    {reading.state && <span className="text-quiet">, {reading.state}</span>}
                    {reading.leg && <span className="text-quiet">, {reading.leg}</span>}
                    {reading.note && <span className="text-quiet">. {reading.note}</span>}
                    {why !== undefined && !editable && <span className="text-ochre"> taken back: {why}</span>}
                  </td>
                  {[reading.baseLoad, attempt?.inputBefore ?? reading.bankBefore].map((value, i) => (
                    <td key={i} className="figures right max-md:hidden">
                      {value === undefined ? (
                        <span title="not read">–</span>
                      ) : (
                        say(value, '', i === 1 ? 4 : 3)
                      )}
                    </td>
                  ))}
                  {attempt ? (
                    [attempt.current, attempt.watts, attempt.lowest, attempt.lowestInput].map((figure, i) => (
                      <td key={i} className="right max-md:hidden">
                        <Fig of={figure} bare={2} hue={i === 3 ? 'dc' : 'ac'} />
                      </td>
                    ))
                  ) : (
                    <td colSpan={4} className="max-md:hidden" />
                  )}
                  <td className={`font-semibold ${outcomeColour[attempt?.outcome ?? reading.outcome]}`}>
                    {attempt?.outcome ?? reading.outcome}
                    {attempt && attempt.outcome !== reading.outcome && (
                      <span className="text-quiet block text-[0.85rem] font-normal">
                        noted: {reading.outcome}
                      </span>
                    )}
                  </td>
                  {editable && (
                    <td className="no-print md:whitespace-nowrap">
                      {why === undefined ? (
                        <>
                          <button
                            type="button"
                            className="plain-link mr-3"
                            aria-expanded={shown}
                            onClick={() => setOpen(shown ? undefined : id)}
                          >
                            {shown ? 'Close' : 'Look'}
                          </button>
                          <button type="button" className="plain-link" onClick={() => setTakingBack(id)}>
                            Take back
                          </button>
                        </>
                      ) : (
                        <Struck entry={id} why={why} what={`attempt ${reading.number}`} />
                      )}
                    </td>
                  )}
                </tr>
                {attempt?.ended && (
                  <tr>
                    <td />
                    <td colSpan={columns - 1} className="pb-2">
                      {attempt.ended.say().why}{' '}
                      <span className="text-quiet">{attempt.ended.say().would}</span>
                    </td>
                  </tr>
                )}
                {attempt && shown && (
                  <tr>
                    <td />
                    <td colSpan={columns - 1} className="pb-3">
                      <Strip subject={{ about: attempt.entry.id }} of="this attempt" />
                      <AttemptDetail attempt={attempt} />
                    </td>
                  </tr>
                )}
              </Fragment>
            )
          })}
        </tbody>
      </FitTable>
      <TakingBack entry={takingBack} what="this attempt" onDone={() => setTakingBack(undefined)} />
    </div>
  )
}
