import type { StoredUnit } from '@even-watt/contract'
import { sayClaim } from '@even-watt/core'

/** What the label promises, and where each promise was read. */
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
