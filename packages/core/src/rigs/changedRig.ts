import { plain, sayCableSize, sayLength } from '../figures'
import type { Battery, PathElement, Rig, RigChange } from '@even-watt/contract'
import { placed } from './elements'

/** The rig as it would be after the changes; those that name a part that is not there change nothing. */
export function changedRig(rig: Rig, changes: readonly RigChange[]): Rig {
  return changes.reduce(changeOne, rig)
}

function changeOne(rig: Rig, change: RigChange): Rig {
  switch (change.kind) {
    case 'remake':
      return rig
    case 'cable':
      return onElement(rig, change.element, (element) =>
        element.kind === 'cable' ? { ...element, conductors: [change.conductor] } : element,
      )
    case 'battery':
      return { ...rig, bank: withBattery(rig.bank, change) }
    case 'support':
      return { ...rig, support: { kind: 'charger', name: 'Charger', current: change.current, ownUse: 0 } }
    case 'take-off': {
      const { bank } = rig
      if (bank.join.kind !== 'in line') return rig
      const { positiveAt, negativeAt } = change
      if (Math.max(positiveAt, negativeAt) >= bank.strings.length) return rig
      return { ...rig, bank: { ...bank, join: { ...bank.join, positiveAt, negativeAt } } }
    }
  }
}

function onElement(rig: Rig, id: string, change: (element: PathElement) => PathElement): Rig {
  const side = (elements: readonly PathElement[]) =>
    elements.map((element) => (element.id === id ? change(element) : element))
  return { ...rig, positive: side(rig.positive), negative: side(rig.negative) }
}

function withBattery(bank: Rig['bank'], added: Extract<RigChange, { kind: 'battery' }>): Rig['bank'] {
  const like = bank.strings[0]?.[0]
  if (!like) return bank
  const nominal = (bank.strings[0] ?? []).reduce((sum, battery) => sum + battery.nominal, 0)
  const battery: Battery = {
    id: `added ${added.name}`,
    name: added.name,
    chemistry: like.chemistry,
    nominal,
    ...(like.capacity === undefined ? {} : { capacity: like.capacity }),
    rest: added.rest,
    resistance: added.resistance,
    open: false,
  }
  const { join } = bank
  return {
    ...bank,
    strings: [...bank.strings, [battery]],
    join:
      join.kind === 'busbars'
        ? { ...join, leads: [...join.leads, 2 * added.link] }
        : { ...join, positive: [...join.positive, added.link], negative: [...join.negative, added.link] },
  }
}

/** The changes in words, for the record and the revision. */
export function describeChanges(rig: Rig, changes: readonly RigChange[]): string {
  const name = (id: string) =>
    placed(rig).find(({ element }) => element.id === id)?.element.name ?? 'an element'
  return changes
    .map((change) => {
      switch (change.kind) {
        case 'remake':
          return `${name(change.element)} remade`
        case 'cable':
          return `${name(change.element)} as ${sayCableSize(change.conductor.gauge)}, ${sayLength(change.conductor.length)}`
        case 'battery':
          return `${change.name} added in parallel`
        case 'support':
          return `a charger of ${plain(change.current)} A added`
        case 'take-off':
          return `take-off at ${change.positiveAt + 1} and ${change.negativeAt + 1}`
      }
    })
    .join('; ')
}
