import type { StoredUnit } from '@even-watt/contract'
import { sayClaim } from '@even-watt/core'
import { Strip } from '../photographs/Strip'
import { FitTable } from '../ui/FitTable'

interface Props {
  readonly unit: StoredUnit
  /** With the photograph of each promise, and the way to take it. */
  readonly photographs?: boolean
}

/** What the label promises, and where each promise was read. */
export function ClaimTable({ unit, photographs = false }: Props) {
  if (!unit.claims.length) return <p>No claim was copied from the label, so there is nothing to judge.</p>
  return (
    <FitTable className="max-w-4xl">
      <thead>
        <tr>
          <th>what</th>
          <th>promised</th>
          <th>read where</th>
          {photographs && <th className="no-print">photograph</th>}
        </tr>
      </thead>
      <tbody>
        {unit.claims.map((claim) => (
          <tr key={claim.id}>
            <td>{claim.quantity}</td>
            <td className="figures">{sayClaim(claim)}</td>
            <td>{claim.readWhere}</td>
            {photographs && (
              <td className="no-print">
                <Strip
                  subject={{ about: claim.id, shows: shownAt(claim.readWhere) }}
                  of={`${claim.quantity}, ${sayClaim(claim)}`}
                />
              </td>
            )}
          </tr>
        ))}
      </tbody>
    </FitTable>
  )
}

/** What a photograph of a promise shows, by where the promise was read. */
const shownAt = (readWhere: string) =>
  /manual/i.test(readWhere)
    ? ('manual' as const)
    : /page|shop|web|advert/i.test(readWhere)
      ? ('sales page' as const)
      : ('label' as const)
