import { checkRig, isStation } from '@even-watt/core'
import { useState } from 'react'
import { OddityNotices } from '../oddities/OddityNotices'
import { StationRibbon } from '../station/StationRibbon'
import { DoubtMark } from '../trials/DoubtMark'
import { StageHead } from '../trials/StageHead'
import { useDoubt } from '../trials/useDoubt'
import { useOddities } from '../trials/useOddities'
import { useTrial } from '../trials/useTrial'
import { shortDate, shortTime } from '../ui/dates'
import { ChangeRig } from './ChangeRig'
import { PartPhotographs } from './PartPhotographs'
import { partName } from './partName'
import { Remarks } from './Remarks'
import { HungMeters } from './HungMeters'
import { RigFacts } from './RigFacts'
import { RigPicture } from './RigPicture'
import { ShuntAdvice } from './ShuntAdvice'
import { VoltsChanged } from './VoltsChanged'

/** The rig as frozen into the trial; changing it makes the next revision, with why. */
export function RigStagePage() {
  const { trial, analysis } = useTrial()
  const { revision } = analysis.record
  const { meterDoubted, trust } = useDoubt()
  const wholeRig = trust({ what: 'rig' }) !== undefined
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
      {isStation(revision.unit) ? (
        <>
          <StationRibbon analysis={analysis} />
          <p className="mb-2 max-w-prose">
            A station has its store inside: nothing is drawn between posts and terminals. What is read stands
            at its outlets, ports and charging inputs.
          </p>
          <HungMeters rig={revision.rig} meters={revision.meters} />
        </>
      ) : (
        <>
          <VoltsChanged trial={trial} revision={revision} />
          <ShuntAdvice revision={revision} />
          <RigPicture analysis={analysis} />
          <Remarks remarks={checkRig(revision.rig)} name={(at) => partName(revision.rig, at)} />
          <RigFacts rig={revision.rig} meters={revision.meters} />
          <PartPhotographs rig={revision.rig} />
        </>
      )}
      <section className="mt-4">
        <h2>Doubt</h2>
        <p>
          Something was wrong while it was read, like a loose lug?{' '}
          <DoubtMark
            of={{ what: 'rig' }}
            why={wholeRig ? 'all that was read on this rig until then' : undefined}
            what="all that was read on this rig"
            words="Doubt all that was read on this rig"
          />
        </p>
        <ul>
          {revision.meters.map(({ id, name }) => (
            <li key={id}>
              {name}:{' '}
              <DoubtMark
                of={{ what: 'meter', meter: id }}
                why={meterDoubted(id)}
                what={`all that ${name} read in this trial`}
                words="found faulty or damaged"
              />
            </li>
          ))}
        </ul>
      </section>
      {changing && last && <ChangeRig rig={last.rig} after={last.number} onDone={() => setChanging(false)} />}
    </>
  )
}
