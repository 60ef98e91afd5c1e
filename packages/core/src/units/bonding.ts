import type { Rig, Unit } from '@even-watt/contract'

export interface Bonding {
  readonly kind: 'two bonds' | 'may be two' | 'one bond' | 'floating' | 'not known'
  /** What the arrangement suggests, in sentences; the manual and the licensed decide. */
  readonly sentences: readonly string[]
}

const decides =
  'The unit’s manual and the local code say which is right; who is licensed for it makes the bond.'

/**
 * What joins neutral and earth, of what is known of the unit and the rig. Two bonds are never passed over in silence:
 * current of the neutral then runs in the earth conductor. See docs/method/units.md.
 */
export function bondingOf(unit: Pick<Unit, 'bonding'>, rig: Pick<Rig, 'bond' | 'arrangement'>): Bonding {
  const found = joined(unit, rig)
  const beside = rig.arrangement && besides[rig.arrangement]
  return beside === undefined ? found : { ...found, sentences: [...beside, ...found.sentences] }
}

/** What the unit works beside changes where the one bond may be. */
const besides: Readonly<Partial<Record<NonNullable<Rig['arrangement']>, readonly string[]>>> = {
  'the grid passes through it': [
    'While the grid passes through, the bond is that of the building. On battery the unit must bond by itself, or nobody does.',
    'A bond that stays while the grid is there makes two: the manual says whether a relay does it.',
  ],
  'in parallel with another unit': [
    'Of units in parallel one alone may bond: a bond in each lets current run in the earth conductor.',
  ],
  'it feeds a panel': [
    'A panel usually has the bond of its building: with it the unit must float, or the bond of the panel is taken out.',
  ],
}

function joined(unit: Pick<Unit, 'bonding'>, rig: Pick<Rig, 'bond'>): Bonding {
  const inside = unit.bonding === 'neutral bonded inside' || unit.bonding === 'bonds by itself'
  const outside = rig.bond === 'a plug or link on the bench' || rig.bond === 'in what it feeds'
  const where = rig.bond === 'in what it feeds' ? 'in what it feeds' : 'on the bench'
  if (inside && outside)
    return {
      kind: 'two bonds',
      sentences: [
        `Neutral and earth are joined twice: inside the unit and ${where}.`,
        'Current of the neutral then runs in the earth conductor, an RCD may trip or never trip, and a unit can be destroyed. Take one of them out before anything is switched on.',
        decides,
      ],
    }
  if (inside)
    return {
      kind: rig.bond === 'none' ? 'one bond' : 'may be two',
      sentences:
        rig.bond === 'none'
          ? ['Neutral and earth are joined once, inside the unit: an RCD behind it can act.', decides]
          : [
              'The unit joins neutral and earth itself. Whether they are joined again in what it feeds is not said: two bonds let current run in the earth conductor.',
              decides,
            ],
    }
  if (unit.bonding === 'floating' && outside)
    return {
      kind: 'one bond',
      sentences: [
        `The unit’s output floats, and neutral and earth are joined once, ${where}.`,
        'Some units do not stand a bond: ask the manual before it is switched on.',
        decides,
      ],
    }
  if (unit.bonding === 'floating')
    return {
      kind: 'floating',
      sentences: [
        'The output floats: neither conductor is at earth, and an RCD or GFCI may not act at a first fault.',
        'One load at a time, and nothing earthed between the two conductors.',
        decides,
      ],
    }
  return {
    kind: 'not known',
    sentences: [
      outside
        ? `Neutral and earth are joined ${where}; whether the unit joins them too is not known. Two bonds let current run in the earth conductor.`
        : 'How the unit joins neutral and earth is not known. Unplugged and cold, test continuity between neutral and earth of its outlet. That tells it switched off, not switched on.',
      decides,
    ],
  }
}
