import { Link } from 'react-router'
import { OddityNotices } from '../oddities/OddityNotices'
import { Places } from '../photographs/Places'
import { StageHead } from '../trials/StageHead'
import { useOddities } from '../trials/useOddities'
import { useTrial } from '../trials/useTrial'
import { Section } from '../ui/Section'
import { BondingPart } from './BondingPart'
import { BoxList } from './BoxList'
import { ClaimTable } from './ClaimTable'
import { LookGuide } from './LookGuide'
import { UnitChanged } from './UnitChanged'
import { UnitFacts } from './UnitFacts'

/** The unit in the order of looking it over: what it is, what it promises and where, what came with it. */
export function LookOverPage() {
  const { analysis } = useTrial()
  const { unit } = analysis.record.revision
  const oddities = useOddities().filter(
    (oddity) => oddity.at.claim !== undefined || oddity.at.part === 'unit',
  )
  return (
    <>
      <StageHead revisions={false}>
        <Link className="plain-link" to={`/units/${unit.id}/life`}>
          Its life
        </Link>
        <Link className="plain-link" to={`/units/${unit.id}`}>
          Edit the unit
        </Link>
      </StageHead>
      <LookGuide />
      <UnitChanged />
      <OddityNotices oddities={oddities} />
      <UnitFacts unit={unit} />
      <Places shows={['label', 'outside', 'sales page', 'manual']} />
      <Section title="Claims" id="claims">
        <ClaimTable unit={unit} photographs />
      </Section>
      <Section title="What came with it">
        <BoxList unit={unit} />
        {!unit.box && !unit.leads && (
          <p className="text-quiet max-w-prose">
            Nothing is noted yet of its leads and its fuse. Thin leads make a good unit look bad.
          </p>
        )}
        <Places shows={['box', 'lead', 'outlets and ports']} />
      </Section>
      <Section title="Neutral and earth">
        <BondingPart analysis={analysis} />
      </Section>
    </>
  )
}
