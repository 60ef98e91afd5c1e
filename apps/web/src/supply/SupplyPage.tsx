import { bankNominal, voltCount } from '@even-watt/core'
import { AtOnce } from '../rigs/atOnce/AtOnce'
import { LoadSlider } from '../rigs/atOnce/LoadSlider'
import { useSlidLoad } from '../rigs/atOnce/useSlidLoad'
import { useUnitQuestion } from '../rigs/atOnce/useUnitQuestion'
import { RigPicture } from '../rigs/RigPicture'
import { StageHead } from '../trials/StageHead'
import { useTrial } from '../trials/useTrial'
import { Notice } from '../ui/Notice'
import { SupplyTable } from './SupplyTable'

/** What was measured of the supply, next to what was promised of it, and what follows. */
export function SupplyPage() {
  const { analysis } = useTrial()
  const { supply } = analysis
  const unit = useUnitQuestion(analysis)
  const load = useSlidLoad(supply.known, bankNominal(analysis.record.revision.rig.bank))
  const { current, later } = load
  return (
    <>
      <StageHead />
      <h2>What the supply is</h2>
      <SupplyTable supply={supply} />
      {supply.disagreements.map((sentence) => (
        <Notice key={sentence} kind="odd" word="Disagree">
          {sentence}
        </Notice>
      ))}
      <h2 className="mt-4">At {current} A</h2>
      <LoadSlider load={load} />
      <RigPicture analysis={analysis} at={current} />
      <AtOnce
        key={analysis.record.revision.number}
        current={later}
        rig={analysis.record.revision.rig}
        known={supply.known}
        survey={supply.surveys.at(-1)}
        count={voltCount(analysis.record.revision)}
        unit={unit}
      />
    </>
  )
}
