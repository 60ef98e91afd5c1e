import { furthestOf, type RigFigured } from '../figured'
import { derive, type Derived } from '../figures'
import { exact, divide, methodSource, subtract, uncertain } from '../meters'
import type { Analysis } from '../trials'
import { displayed } from './display'
import { displayAgainst, type DisplayAgainst } from './displayAgainst'
import { quantityData } from './quantities'

const linesOf = ({ record, evidence }: Analysis) => displayAgainst(record, evidence.gate, evidence.spreads)

/** Shown less read; what the display itself may be off by, its last digit or what it jumps over, is a source of its own. */
function offBy({ shown, meter, ownU, entry, quantity }: DisplayAgainst, asShare: boolean): Derived {
  const own = uncertain(shown, methodSource(`display ${quantity}`, entry.id), ownU / 2)
  const off = subtract(own, meter.x)
  return asShare
    ? derive('shown off', '%', '(shown − read) / read', [meter], divide(off, exact(meter.x.value)))
    : derive('shown off', meter.unit, 'shown − read', [meter], off)
}

/** By how much the unit’s own display stands off the meters, furthest off. */
export const displayFigures: readonly RigFigured[] = displayed.flatMap(([, , , quantity]) => {
  const { words, unit } = quantityData[quantity]
  return [false, true].map((asShare) =>
    furthestOf(
      'largest',
      (analysis) =>
        linesOf(analysis)
          .filter((line) => line.quantity === quantity)
          .map((line) => ({ of: offBy(line, asShare), what: 'its display' })),
      'Its display was not noted beside a meter.',
      {
        id: `display ${quantity}${asShare ? ' %' : ''}`,
        words: `display of ${words}, off its meter${asShare ? ', in per cent' : ''}`,
        head: `${words} shown, off${asShare ? ' in per cent' : ''}`,
        unit: asShare ? '%' : unit,
        looked: ['display', 'screen', 'readout', 'error', 'accuracy'],
        dependsOn: ['unit'],
        page: 'ladder',
        method: 'evidence',
      },
    ),
  )
})
