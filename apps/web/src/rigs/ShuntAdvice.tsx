import type { Revision } from '@even-watt/contract'
import { adviseShunt, isStation, say, withoutAmmeter } from '@even-watt/core'
import { Notice } from '../ui/Notice'

/** No meter of the rig tells the input current: about how much it will be, and what would read it. */
export function ShuntAdvice({ revision }: { readonly revision: Revision }) {
  const { unit, rig } = revision
  const advice = isStation(unit) || !withoutAmmeter(rig) ? undefined : adviseShunt(revision)
  if (!advice) return null
  return (
    <Notice kind="odd" word="No ammeter">
      Input amps are only estimated, from the watts at the outlet: about {say(advice.full, 'A', 2)} at full
      load. A shunt of {say(advice.size, 'A')} and {say(1000 * advice.drop, 'mV')} reads that. For idle, about{' '}
      {say(advice.idle, 'A', 2)}, its meter must tell {say(advice.count, 'A', 1)}:{' '}
      {say(1e6 * advice.countVolts, '', 2)} µV.
    </Notice>
  )
}
