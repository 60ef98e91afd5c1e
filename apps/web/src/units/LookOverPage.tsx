import type { StoredUnit } from '@even-watt/contract'
import { sayClaim } from '@even-watt/core'
import { Link } from 'react-router'
import { OddityNotices } from '../oddities/OddityNotices'
import { StageHead } from '../trials/StageHead'
import { useTrial } from '../trials/useTrial'
import { Facts } from '../ui/Facts'

/** The unit as it was frozen into the trial: where it came from and what it promises. */
export function LookOverPage() {
  const { analysis, view } = useTrial()
  const { unit } = analysis.record.revision
  const oddities = (view.oddities[view.analyses.indexOf(analysis)] ?? []).filter(
    (oddity) => oddity.at.claim !== undefined || oddity.at.part === 'unit',
  )
  return (
    <>
      <StageHead title="Look over" revisions={false}>
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

export function UnitFacts({ unit }: { unit: StoredUnit }) {
  const facts: [string, string | undefined][] = [
    ['unit', unit.name],
    [
      'kind',
      `${unit.kind}, ${unit.inputVoltage} V DC to ${unit.outputVoltage} V ${unit.outputFrequency} Hz, ${unit.phase} phase`,
    ],
    ['output wave', unit.wave === 'unstated' ? 'not stated' : unit.wave],
    [
      'where it came from',
      unit.provenance
        ? `${unit.provenance.how}${unit.provenance.preProduction ? ', pre-production' : ''}. ${unit.provenance.note ?? ''}`
        : 'not disclosed',
    ],
    [
      'revision',
      [
        unit.revision,
        unit.dateCode && `date code ${unit.dateCode}`,
        unit.firmware && `firmware ${unit.firmware}`,
      ]
        .filter(Boolean)
        .join(', ') || undefined,
    ],
    ['price', unit.price && `${unit.price.amount} ${unit.price.currency}`],
    [
      'mass, size',
      [
        unit.mass && `${unit.mass} kg`,
        unit.size
          ?.map((side) => `${Math.round(side * 1000)}`)
          .join(' × ')
          .concat(' mm'),
      ]
        .filter(Boolean)
        .join(', ') || undefined,
    ],
    ['note', unit.note],
  ]
  return <Facts facts={facts} />
}

export function ClaimTable({ unit }: { unit: StoredUnit }) {
  if (!unit.claims.length) return <p>No claim was copied from the label, so there is nothing to judge.</p>
  return (
    <table className="list-table max-w-3xl">
      <thead>
        <tr>
          <th>what</th>
          <th>promised</th>
          <th>read where</th>
        </tr>
      </thead>
      <tbody>
        {unit.claims.map((claim) => (
          <tr key={claim.id}>
            <td>{claim.quantity}</td>
            <td className="figures">{sayClaim(claim)}</td>
            <td>{claim.readWhere}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
