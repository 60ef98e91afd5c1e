import { bankChanges, loadTestWords, plain, rankBatteries, type Analysis } from '@even-watt/core'
import { useState } from 'react'
import { TakingBack } from '../trials/TakingBack'
import { Fig } from '../ui/Fig'
import { FitTable } from '../ui/FitTable'

interface Props {
  /** The rigs whose load tests stand beside each other. */
  readonly analyses: readonly Analysis[]
  /** Number of the rig whose tests can be taken back. */
  readonly editable?: number
}

/** Load tests of one rig or several, batteries beside each other by resistance. */
export function LoadTestTable({ analyses, editable }: Props) {
  const [takingBack, setTakingBack] = useState<string>()
  const several = analyses.length > 1
  const loadTests = analyses.flatMap(({ supply, record }) =>
    supply.loadTests.map((test) => ({ ...test, rig: record.revision.number })),
  )
  if (!loadTests.length) return <p>No load test on this rig yet.</p>
  return (
    <div>
      <FitTable className="max-w-4xl">
        <thead>
          <tr>
            {several && <th>rig</th>}
            <th>what</th>
            <th className="right">rest, V</th>
            <th className="right">at 10 s, V</th>
            <th className="right">A</th>
            <th className="right">sag</th>
            <th className="right">R at 10 s</th>
            <th className="right">recovered, V</th>
            {editable !== undefined && <th className="no-print" />}
          </tr>
        </thead>
        <tbody>
          {loadTests.map(({ entry, what, R_10, I_10, sag, rig }) => (
            <tr key={entry.id}>
              {several && <td className="figures">{rig}</td>}
              <td>
                {what}
                {entry.reading.note && <span className="text-quiet">, {entry.reading.note}</span>}
              </td>
              <td className="figures right">{plain(entry.reading.restVoltage)}</td>
              <td className="figures right">{plain(entry.reading.loadedVoltage)}</td>
              <td className="right">
                {entry.reading.loadedCurrent === undefined ? (
                  <Fig of={I_10} />
                ) : (
                  <span className="figures">{plain(entry.reading.loadedCurrent)}</span>
                )}
              </td>
              <td className="right">
                <Fig of={sag} withUnit />
              </td>
              <td className="right">
                <Fig of={R_10} withUnit className="font-semibold" />
              </td>
              <td className="figures right">
                {entry.reading.recoveredVoltage === undefined ? '–' : plain(entry.reading.recoveredVoltage)}
              </td>
              {editable !== undefined && (
                <td className="no-print">
                  {rig === editable && (
                    <button type="button" className="plain-link" onClick={() => setTakingBack(entry.id)}>
                      Take back
                    </button>
                  )}
                </td>
              )}
            </tr>
          ))}
        </tbody>
      </FitTable>
      {loadTests.map((test) => (
        <p key={test.entry.id} className="max-w-4xl">
          {loadTestWords(test).join(' ')}
        </p>
      ))}
      {[...bankChanges(loadTests), ...rankBatteries(loadTests)].map((sentence) => (
        <p key={sentence} className="max-w-4xl">
          {sentence}
        </p>
      ))}
      <TakingBack entry={takingBack} what="this load test" onDone={() => setTakingBack(undefined)} />
    </div>
  )
}
