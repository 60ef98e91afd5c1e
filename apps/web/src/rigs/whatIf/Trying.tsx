import type { RigChange } from '@even-watt/contract'
import {
  changedRig,
  describeChanges,
  isFigure,
  keepPrediction,
  predictSteps,
  predictSupply,
  viewSupply,
} from '@even-watt/core'
import { useMemo, useState } from 'react'
import { capture } from '../../outbox/capture'
import { useTrial } from '../../trials/useTrial'
import { answer } from '../../ui/answers'
import { Notice } from '../../ui/Notice'
import { useUnitQuestion } from '../atOnce/useUnitQuestion'
import { ChangeRig } from '../ChangeRig'
import { AddChange } from './AddChange'
import { PredictedTable } from './PredictedTable'
import { useLoadsToPredict } from './useLoadsToPredict'

/** Changes put together one by one, with what they would do. */
export function Trying() {
  const { trial, analysis } = useTrial()
  const { rig, number } = analysis.record.revision
  const [changes, setChanges] = useState<readonly RigChange[]>([])
  const [changing, setChanging] = useState(false)
  const question = useUnitQuestion(analysis)
  const loads = useLoadsToPredict(analysis)
  const predicted = useMemo(() => {
    if (!changes.length) return undefined
    const after = predictSupply(rig, analysis.supply, changes)
    const rigAfter = changedRig(rig, changes)
    return { after, rigAfter, steps: predictSteps(after, analysis.supply.known, loads) }
  }, [changes, rig, analysis, loads])
  const words = describeChanges(rig, changes)
  const keep = () => {
    if (!predicted) return
    const headroom = viewSupply(predicted.rigAfter, predicted.after, question)?.toAlarm.outputPower
    capture(trial.id, {
      revision: number,
      kind: 'prediction',
      reading: keepPrediction(changes, words, predicted.steps, headroom),
    })
    answer('The prediction is kept.')
    setChanges([])
  }
  const last = trial.revisions.at(-1)
  return (
    <section>
      <h2>What if</h2>
      {changes.length > 0 && (
        <ul className="mb-2">
          {changes.map((change, i) => (
            <li key={i} className="flex gap-4">
              <span>{describeChanges(rig, [change])}</span>
              <button
                type="button"
                className="plain-link"
                onClick={() => setChanges(changes.filter((_, k) => k !== i))}
              >
                Leave it out
              </button>
            </li>
          ))}
        </ul>
      )}
      <AddChange rig={rig} onAdd={(change) => setChanges([...changes, change])} />
      {predicted && (
        <div className="mt-3">
          <h3 className="font-semibold">If: {words}</h3>
          {!isFigure(predicted.after.R_bank) && <Notice kind="odd">{predicted.after.R_bank.missing}</Notice>}
          <PredictedTable
            steps={predicted.steps}
            analysis={analysis}
            after={predicted.after}
            rigAfter={predicted.rigAfter}
          />
          <div className="no-print mt-2 flex gap-2">
            <button type="button" className="action action-main" onClick={keep}>
              Keep this prediction
            </button>
            <button type="button" className="action" onClick={() => setChanging(true)}>
              Make the change
            </button>
          </div>
        </div>
      )}
      {changing && last && predicted && (
        <ChangeRig
          rig={{ ...last.rig, ...predicted.rigAfter }}
          after={last.number}
          because={words}
          onDone={() => setChanging(false)}
        />
      )}
    </section>
  )
}
