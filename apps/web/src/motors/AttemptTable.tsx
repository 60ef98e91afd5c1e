import { recordedOf, say, type Analysis, type TrialRecord } from '@even-watt/core'
import { useState } from 'react'
import { Struck } from '../trials/Struck'
import { TakingBack } from '../trials/TakingBack'

interface Props {
  readonly record: TrialRecord
  readonly analysis: Analysis
  readonly editable?: boolean
}

/** Attempts on one revision, in the order of their numbers. */
export function AttemptTable({ record, analysis, editable = false }: Props) {
  const [takingBack, setTakingBack] = useState<string>()
  const all = [...recordedOf(analysis.record, 'motors')].sort((a, b) => a.reading.number - b.reading.number)
  if (!all.length) return <p>No attempt on this rig yet.</p>
  const outcomeColour = {
    started: 'text-moss',
    'started late': 'text-ochre',
    stalled: 'text-madder',
    tripped: 'text-madder',
    'tripped and recovered': 'text-ochre',
  }
  return (
    <div className="overflow-x-auto">
      <table className="list-table">
        <thead>
          <tr>
            <th>no.</th>
            <th>motor, its state</th>
            <th className="right">base load, W</th>
            <th className="right">bank before, V</th>
            <th className="right">lowest at C, V</th>
            <th className="right">peak, A</th>
            <th>outcome</th>
            {editable && <th className="no-print" />}
          </tr>
        </thead>
        <tbody>
          {all.map(({ id, reading }) => {
            const why = record.struckWhy.get(id)
            return (
              <tr key={id} className={why === undefined ? '' : '[&>td:not(:last-child)]:line-through'}>
                <td className="figures">{reading.number}</td>
                <td>
                  {reading.load}
                  {reading.state && <span className="text-quiet">, {reading.state}</span>}
                  {reading.note && <span className="text-quiet">. {reading.note}</span>}
                  {why !== undefined && !editable && <span className="text-ochre"> taken back: {why}</span>}
                </td>
                {[reading.baseLoad, reading.bankBefore, reading.lowestOutput, reading.peakCurrent].map(
                  (value, i) => (
                    <td key={i} className="figures right">
                      {value === undefined ? (
                        <span title="not read">–</span>
                      ) : (
                        say(value, '', i === 1 ? 4 : 3)
                      )}
                    </td>
                  ),
                )}
                <td className={`font-semibold ${outcomeColour[reading.outcome]}`}>{reading.outcome}</td>
                {editable && (
                  <td className="no-print">
                    {why === undefined ? (
                      <button type="button" className="plain-link" onClick={() => setTakingBack(id)}>
                        Take back
                      </button>
                    ) : (
                      <Struck entry={id} why={why} what={`attempt ${reading.number}`} />
                    )}
                  </td>
                )}
              </tr>
            )
          })}
        </tbody>
      </table>
      <TakingBack entry={takingBack} what="this attempt" onDone={() => setTakingBack(undefined)} />
    </div>
  )
}
