import type { StoredUnit } from '@even-watt/contract'
import { sayClaim } from '@even-watt/core'
import { api } from '../api/api'
import { DocumentList } from '../ui/DocumentList'

export function UnitsPage() {
  return (
    <DocumentList<StoredUnit>
      title="Units"
      what="unit"
      path="/units"
      query={api.useUnitsQuery()}
      empty="No unit yet. Add the inverter on your bench: what its label promises, and where each promise was read."
      columns={[
        ['kind', (unit) => `${unit.kind}, ${unit.wave === 'unstated' ? 'wave not stated' : unit.wave}`],
        [
          'from → to',
          (unit) => `${unit.inputVoltage} V → ${unit.outputVoltage} V ${unit.outputFrequency} Hz`,
        ],
        [
          'claims',
          (unit) => unit.claims.map((claim) => `${claim.quantity} ${sayClaim(claim)}`).join(' · ') || '–',
        ],
        [
          'provenance',
          (unit) => (unit.provenance ? unit.provenance.how : <span className="text-ochre">▲ not said</span>),
        ],
      ]}
    />
  )
}
