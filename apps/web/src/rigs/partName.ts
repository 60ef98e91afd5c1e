import type { StoredRig } from '@even-watt/contract'
import { placed } from '@even-watt/core'

/** What a part of a rig is called, by its id or its side. */
export const partName = (rig: StoredRig, at: string) =>
  placed(rig).find(({ element }) => element.id === at)?.element.name ??
  rig.bank.strings.flat().find(({ id }) => id === at)?.name ??
  (at === 'bank' ? 'The bank' : `The ${at} side`)
