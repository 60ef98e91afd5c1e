import { Link } from 'react-router'
import { OddityNotices } from '../oddities/OddityNotices'
import { StageHead } from '../trials/StageHead'
import { useOddities } from '../trials/useOddities'
import { useTrial } from '../trials/useTrial'
import { ClaimTable } from './ClaimTable'
import { UnitFacts } from './UnitFacts'

/** The unit as it was frozen into the trial: where it came from and what it promises. */
export function LookOverPage() {
  const { analysis } = useTrial()
  const { unit } = analysis.record.revision
  const oddities = useOddities().filter(
    (oddity) => oddity.at.claim !== undefined || oddity.at.part === 'unit',
  )
  return (
    <>
      <StageHead revisions={false}>
        <Link className="plain-link" to={`/units/${unit.id}`}>
          The unit as it is now
        </Link>
      </StageHead>
      <p className="text-quiet mb-3">
        Frozen when the trial began. Editing the unit later does not change this trial.
      </p>
      <OddityNotices oddities={oddities} />
      <UnitFacts unit={unit} />
      <h2 className="mt-5">Claims</h2>
      <ClaimTable unit={unit} />
    </>
  )
}
