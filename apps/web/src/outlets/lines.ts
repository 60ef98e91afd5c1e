import type { OutletOf } from '@even-watt/contract'
import { cellsOf, figure } from '../benchTests/cells'
import type { Lines } from '../benchTests/TestForm'

/** An outlet by its name, and its volts. */
export function readOutlets(text: string): Lines<OutletOf<'each outlet'>['read'][number]> {
  const read: OutletOf<'each outlet'>['read'] = []
  for (const [i, cells] of cellsOf(text).entries()) {
    const volts = figure(cells.at(-1))
    const outlet = cells.slice(0, -1).join(' ')
    if (!outlet || volts === undefined)
      return { why: `Line ${i + 1}: the outlet and its volts, as in “front left 229.8”.` }
    read.push({ outlet, volts })
  }
  return { read }
}
