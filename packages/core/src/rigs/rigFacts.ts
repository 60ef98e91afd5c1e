import type { Rig } from '@even-watt/contract'
import { describeBank } from '../supply'
import { cables, describeElement, protections } from './elements'

/** What rigs are told apart by, each in a few words: bank, leads, protection, what is read on it. */
export const rigFacts = (rig: Rig): string[] => [
  describeBank(rig.bank),
  cables(rig)
    .map(({ element }) => describeElement(element))
    .join('; ') || 'leads not known',
  protections(rig)
    .map(({ element }) => describeElement(element))
    .join(', ') || 'no fuse',
  `${rig.assignments.length} readings`,
]
