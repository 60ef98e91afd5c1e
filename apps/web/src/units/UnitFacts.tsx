import { plain, sayMass, saySize } from '@even-watt/core'
import type { StoredUnit } from '@even-watt/contract'
import { Facts } from '../ui/Facts'
import { sayPrice } from './sayPrice'

/** The unit in words: what it is, and where it came from. */
export function UnitFacts({ unit }: { unit: StoredUnit }) {
  const facts: [string, string | undefined][] = [
    ['unit', unit.name],
    [
      'kind',
      `${unit.kind}, ${unit.inputVoltage === undefined ? '' : `${plain(unit.inputVoltage)} V DC to `}${plain(unit.outputVoltage)} V ${plain(unit.outputFrequency)} Hz, ${unit.phase} phase`,
    ],
    ['output wave', unit.wave === 'unstated' ? 'not stated' : unit.wave],
    [
      'where it came from',
      unit.provenance
        ? `${unit.provenance.how}${unit.provenance.preProduction ? ', pre-production' : ''}. ${unit.provenance.note ?? ''}`
        : 'where it came from is not said',
    ],
    [
      'revision',
      [
        unit.revision,
        unit.dateCode && `date code ${unit.dateCode}`,
        unit.firmware && `firmware ${unit.firmware}`,
      ]
        .filter(Boolean)
        .join(', ') || undefined,
    ],
    ['price', unit.price && sayPrice(unit.price)],
    [
      'mass, size',
      [unit.mass && sayMass(unit.mass), unit.size && saySize(unit.size)].filter(Boolean).join(', ') ||
        undefined,
    ],
    ...(unit.features ?? []).map(({ what, says }): [string, string] => [what, says]),
    ['note', unit.note],
  ]
  return <Facts facts={facts} />
}
