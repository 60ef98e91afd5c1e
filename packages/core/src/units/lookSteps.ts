import type { EntryOf, Unit } from '@even-watt/contract'
import { isStation } from './claims'

/** One thing to look at, in the order of looking a unit over; and what is to be done where it is not whole. */
export interface LookStep {
  readonly words: string
  readonly done: 'none' | 'part' | 'whole'
  readonly todo: string
  /** Where it is done: in the unit's own form, among its promises, or inside. */
  readonly at: 'unit' | 'claims' | 'inside'
  /** Nobody has to. */
  readonly optional?: true
}

interface LookedAt {
  readonly unit: Unit
  readonly photographs: readonly EntryOf<'photograph'>['reading'][]
  /** How often the link of the opened unit was read. */
  readonly opened: number
}

const share = (done: readonly unknown[]): LookStep['done'] => {
  const count = done.filter(Boolean).length
  return count === 0 ? 'none' : count === done.length ? 'whole' : 'part'
}

/** The guided order of looking a unit over, and how far it is (docs/method/units.md). */
export function lookSteps({ unit, photographs, opened }: LookedAt): LookStep[] {
  const { provenance, revision, dateCode, firmware, price, mass, size, box, leads, outlets, claims } = unit
  const shown = new Set(
    photographs.flatMap(({ about, marks }) => [about, ...marks.map((mark) => mark.about)]),
  )
  const pictured = claims.map(({ id }) => shown.has(id))
  const missing = pictured.filter((one) => !one).length
  return [
    step('where it came from', [provenance], 'Say whether it was bought, lent or given by the maker.'),
    step(
      'revision',
      [revision ?? dateCode ?? firmware],
      'Note its revision, date code or firmware: the next one may be another unit.',
    ),
    step('price, mass, size', [price, mass, size], 'Note what it cost, weighs and measures.'),
    step('box', [box?.length], 'List what is in the box, and what must be bought before it works.'),
    ...(isStation(unit)
      ? []
      : [step('leads and fuse', [leads ?? box?.length], 'Note the leads and the fuse that came with it.')]),
    step(
      'outlets and ports',
      [outlets?.length],
      'Count its outlets and ports, and what may be plugged in beside what.',
    ),
    step(
      'claims',
      [claims.length],
      'Enter what its label, manual and sales page promise, and where each was read.',
    ),
    {
      words: 'photographs of them',
      done: share(pictured),
      todo:
        missing === 1
          ? 'One claim has no photograph of where it was read.'
          : missing
            ? `${missing} claims have no photograph of where they were read.`
            : 'Photograph each place where a claim is read.',
      at: 'claims',
    },
    step('neutral and earth', [unit.bonding], 'Look up in the manual how neutral and earth are joined.'),
    {
      words: 'inside',
      done: share([opened]),
      todo: 'Only if it may be opened: unplugged, and its link measured dead.',
      at: 'inside',
      optional: true,
    },
  ]
}

const step = (words: string, parts: readonly unknown[], todo: string): LookStep => ({
  words,
  done: share(parts),
  todo,
  at: 'unit',
})

/** What is looked at next; undefined: all that must be is done. */
export const nextLook = (steps: readonly LookStep[]): LookStep | undefined =>
  steps.find(({ done, optional }) => done !== 'whole' && !optional)
