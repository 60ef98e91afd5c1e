import { bankNominal, voltCount } from '@even-watt/core'
import { AtOnce } from '../rigs/atOnce/AtOnce'
import { LoadSlider } from '../rigs/atOnce/LoadSlider'
import { SlidCurrent, useSlidCurrent } from '../rigs/atOnce/SlidCurrent'
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
      <SlidCurrent>
        <AtSlidCurrent />
      </SlidCurrent>
    </>
  )
}

function AtSlidCurrent() {
  const { analysis } = useTrial()
  const { revision } = analysis.record
  const unit = useUnitQuestion(analysis)
  const current = useSlidCurrent()
  const { known, surveys } = analysis.supply
  return (
    <>
      <h2 className="mt-4">At {current} A</h2>
      <LoadSlider known={known} nominal={bankNominal(revision.rig.bank)} />
      <RigPicture analysis={analysis} at={current} />
      <AtOnce
        key={revision.number}
        current={current}
        rig={revision.rig}
        known={known}
        survey={surveys.at(-1)}
        count={voltCount(revision)}
        unit={unit}
      />
    </>
  )
}
