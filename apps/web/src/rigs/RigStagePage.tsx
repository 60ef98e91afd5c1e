import { checkRig } from '@even-watt/core'
import { useState } from 'react'
import { OddityNotices } from '../oddities/OddityNotices'
import { StageHead } from '../trials/StageHead'
import { useOddities } from '../trials/useOddities'
import { useTrial } from '../trials/useTrial'
import { shortDate, shortTime } from '../ui/dates'
import { ChangeRig } from './ChangeRig'
import { partName } from './partName'
import { Remarks } from './Remarks'
import { RigFacts } from './RigFacts'
import { RigPicture } from './RigPicture'

/** The rig as frozen into the trial; changing it makes the next revision, with why. */
export function RigStagePage() {
  const { trial, analysis } = useTrial()
  const { revision } = analysis.record
  const [changing, setChanging] = useState(false)
  const last = trial.revisions.at(-1)
  const oddities = useOddities().filter((oddity) => oddity.at.part === 'rig')
  return (
    <>
      <StageHead>
        <button type="button" className="action" onClick={() => setChanging(true)}>
          Change the rig
        </button>
      </StageHead>
      <p className="text-quiet mb-3">
        Revision {revision.number}, {shortDate(revision.madeAt)} {shortTime(revision.madeAt)}: {revision.why}.
        Readings name the revision they were taken on.
      </p>
      <OddityNotices oddities={oddities} />
      <RigPicture analysis={analysis} />
      <Remarks remarks={checkRig(revision.rig)} name={(at) => partName(revision.rig, at)} />
      <RigFacts rig={revision.rig} meters={revision.meters} />
      {changing && last && <ChangeRig rig={last.rig} after={last.number} onDone={() => setChanging(false)} />}
    </>
  )
}
