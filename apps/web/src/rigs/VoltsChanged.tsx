import type { Revision, Trial } from '@even-watt/contract'
import { bankNominal, say } from '@even-watt/core'
import { Notice } from '../ui/Notice'

/** The bank has other volts than on the rig before: meters that reckon by them must be told. */
export function VoltsChanged({ trial, revision }: { readonly trial: Trial; readonly revision: Revision }) {
  const before = trial.revisions.find(({ number }) => number === revision.number - 1)
  const [was, is] = [before && bankNominal(before.rig.bank), bankNominal(revision.rig.bank)]
  if (was === undefined || was === is) return null
  const told = revision.meters.filter(({ ranges }) =>
    ranges.some(({ reads }) => reads === 'energy' || reads === 'charge' || reads === 'DC power'),
  )
  return (
    <Notice kind="odd" word="Other volts">
      The bank went from {say(was, 'V')} to {say(is, 'V')}. Set every meter that reckons by its volts anew
      {told.length ? `: ${told.map(({ name }) => name).join(', ')}` : ''}. Volts that do not fit this bank
      decide nothing.
    </Notice>
  )
}
