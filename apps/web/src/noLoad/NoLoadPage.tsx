import { AskWave } from '../answers/AskWave'
import { capturesOf, quietOnPage, readingsOf, sayClaim } from '@even-watt/core'
import { DisplaySchool } from '../evidence/DisplaySchool'
import { DisplayTable } from '../evidence/DisplayTable'
import { TwoMetersTable } from '../evidence/TwoMetersTable'
import { Verdict } from '../evidence/Verdict'
import { OddityNotices } from '../oddities/OddityNotices'
import { StageHead } from '../trials/StageHead'
import { useOddities } from '../trials/useOddities'
import { useTrial } from '../trials/useTrial'
import { HeldAgainst } from '../catalogue/HeldAgainst'
import { WhoMinds } from '../minds/WhoMinds'
import { useOnRig } from '../catalogue/useOnRig'
import { StepWaves } from '../captures/StepWaves'
import { IdleFigures } from './IdleFigures'
import { NoLoadForm } from './NoLoadForm'
import { ShownCharges } from './ShownCharges'
import { NoLoadReadings } from './NoLoadReadings'

/** Output on, nothing connected: idle draw, output voltage, frequency, the unit's own display. */
export function NoLoadPage() {
  const { analysis, view } = useTrial()
  const on = useOnRig(view.analyses, analysis)
  const oddities = useOddities().filter((oddity) =>
    readingsOf(analysis.record, 'no load').some((entry) => entry.id === oddity.at.entry),
  )
  const idleReadings = readingsOf(analysis.record, 'no load').filter(({ reading }) => reading.mode === 'on')
  const idle = view.findings.find((finding) => finding.claim.quantity === 'idle draw')
  return (
    <>
      <StageHead />
      <AskWave />
      <p className="text-quiet mb-2">
        Every load unplugged, power strips too; clamp zeroed; start-up finished.
      </p>
      <div className="grid gap-8 lg:grid-cols-2">
        <section>
          <h2>Idle draw</h2>
          <IdleFigures figures={analysis.noLoad.on} />
          <HeldAgainst of={quietOnPage('no-load', on)} />
          {idle && (
            <p className="mt-2">
              <Verdict outcome={idle.standing.outcome} /> {idle.standing.sentence}{' '}
              <span className="text-quiet">
                ({sayClaim(idle.claim)}, {idle.claim.readWhere})
              </span>
            </p>
          )}
          <OddityNotices oddities={oddities} />
          {analysis.noLoad.search.I_idle &&
            readingsOf(analysis.record, 'no load').some((entry) => entry.reading.mode === 'search') && (
              <>
                <h2 className="mt-4">Search mode</h2>
                <IdleFigures figures={analysis.noLoad.search} />
              </>
            )}
        </section>
        <NoLoadForm key={analysis.record.revision.number} />
      </div>
      <NoLoadReadings />
      <StepWaves
        captures={capturesOf(analysis.record, idleReadings)}
        about={idleReadings.at(-1)?.id}
        words="a wave of no load"
      />
      <WhoMinds on={on} />
      <TwoMetersTable analysis={analysis} />
      <DisplayTable analysis={analysis}>
        <DisplaySchool />
      </DisplayTable>
      <ShownCharges analysis={analysis} />
    </>
  )
}
