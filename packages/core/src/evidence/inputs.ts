import type { Quantity } from '@even-watt/contract'
import type { Derived, Missing } from '../figures'
import { contradict, normalisedError } from '../meters'
import { candidatesOf, foundIn, type Found } from './candidates'
import type { Ground } from './ground'
import { notRead, quantities, quantityData } from './quantities'
import type { ReadingValues, Spreads } from './readingValues'
import { formatNumber } from '../figures'

const unread = Object.fromEntries(
  quantities.map((quantity) => [quantity, { missing: notRead(quantity) }]),
) as Record<Quantity, Missing>

/** Every quantity over the readings of a step or a mode, or that it was not read. */
export function readFigures(
  readings: readonly ReadingValues[],
  ground: Ground,
  spreads: Spreads,
  where: string,
): Record<Quantity, Derived> {
  const figures: Record<Quantity, Derived> = { ...unread }
  for (const [quantity, values] of foundIn(readings))
    figures[quantity] = inputFigure(quantity, values, ground, spreads, where)
  return figures
}

/**
 * The value of one quantity, of at least one that was found. Of several meters the first candidate is taken and a
 * contradiction is noted, never averaged (docs/method/meters.md). What the gate refuses is not used beside what it lets in;
 * where it lets nothing in, the best that there is stands, marked as refused.
 */
function inputFigure(
  quantity: Quantity,
  found: readonly Found[],
  ground: Ground,
  spreads: Spreads,
  where: string,
): Derived {
  const [best, ...others] = candidatesOf(found, ground, spreads, where)
  if (!best) return unread[quantity]
  const notes = best.refused ? [`Decides nothing: ${best.refused.why} ${best.refused.todo}`] : []
  for (const other of others) {
    const name = other.meter?.name ?? `What was ${other.grade}`
    if (other.refused) notes.push(`${name} is not used: ${other.refused.why}`)
    else if (contradict(best.x, other.x))
      notes.push(`${name} contradicts it (E_n ${formatNumber(normalisedError(best.x, other.x), 1)}).`)
  }
  return {
    symbol: quantity,
    unit: quantityData[quantity].unit,
    x: best.x,
    grade: best.grade,
    ...(best.refused ? { refused: best.refused } : {}),
    working: {
      formula: `${quantity} read on ${best.meter?.name ?? 'no named meter'}`,
      inputs: [],
      notes,
      entries: best.entries,
    },
  }
}
