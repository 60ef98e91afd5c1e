import type { PortOf } from '@even-watt/contract'
import { cellsOf, figure, isHeading } from '../benchTests/cells'
import type { Lines } from '../benchTests/TestForm'

/** Pairs of amps and volts; a table of two columns may be pasted as it stands. */
export function readPoints(text: string): Lines<PortOf<'load'>['points'][number]> {
  const read: PortOf<'load'>['points'] = []
  for (const [i, cells] of cellsOf(text).entries()) {
    if (isHeading(cells, i)) continue
    const [amps, volts] = [figure(cells[0]), figure(cells[1])]
    if (amps === undefined || volts === undefined)
      return { why: `Line ${i + 1}: amps, then volts, as in “1.0 5.02”.` }
    read.push({ amps, volts })
  }
  return { read }
}

/** Volts offered, with amps, and “given” where they were asked for and came. */
export function readOffers(text: string): Lines<PortOf<'offered'>['offers'][number]> {
  const read: PortOf<'offered'>['offers'] = []
  for (const [i, cells] of cellsOf(text).entries()) {
    if (isHeading(cells, i)) continue
    const [volts, amps] = [figure(cells[0]), figure(cells[1])]
    if (volts === undefined) return { why: `Line ${i + 1}: volts, then amps, as in “9 3”.` }
    const given = cells.some((cell) => /^(given|yes)$/i.test(cell))
    read.push({ volts, ...(amps === undefined ? {} : { amps }), ...(given ? { given } : {}) })
  }
  return { read }
}

/** A port by its name, its volts and amps. */
export function readLoaded(text: string): Lines<PortOf<'together'>['loaded'][number]> {
  const read: PortOf<'together'>['loaded'] = []
  for (const [i, cells] of cellsOf(text).entries()) {
    const [volts, amps] = [figure(cells.at(-2)), figure(cells.at(-1))]
    const port = cells.slice(0, -2).join(' ')
    if (!port || volts === undefined || amps === undefined)
      return { why: `Line ${i + 1}: the port, its volts and its amps, as in “USB-C 20 1.5”.` }
    read.push({ port, volts, amps })
  }
  return { read }
}
