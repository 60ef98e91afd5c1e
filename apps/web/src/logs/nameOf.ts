import type { Revision } from '@even-watt/contract'
import type { NameOf } from './chart'

/** Names of a revision’s batteries and parts by their ids. */
export const namesOf =
  ({ rig }: Revision): NameOf =>
  (id) =>
    [...rig.bank.strings.flat(), ...rig.positive, ...rig.negative].find((one) => one.id === id)?.name
