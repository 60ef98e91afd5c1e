import type { Gauge } from '@even-watt/contract'

/**
 * What a breaker in front of copper cords and fixed wiring may carry at most, A: a starting table, to check against the local code
 * (docs/method/outlets.md).
 */
const metric: readonly (readonly [area: number, amps: number])[] = [
  [0.5, 3],
  [0.75, 6],
  [1, 10],
  [1.5, 16],
  [2.5, 20],
  [4, 25],
  [6, 32],
  [10, 50],
]
const american: readonly (readonly [n: number, amps: number])[] = [
  [18, 7],
  [16, 10],
  [14, 15],
  [12, 20],
  [10, 30],
  [8, 40],
  [6, 55],
]

/** A behind a breaker: of a size between two that of the thinner one; undefined outside the table. */
export function mainsAmpacity(gauge: Gauge): number | undefined {
  if (gauge.unit === 'AWG')
    return gauge.number < 6 ? undefined : american.filter(([n]) => n >= gauge.number).at(-1)?.[1]
  return gauge.area > 10.5 ? undefined : metric.filter(([area]) => area <= gauge.area * 1.0001).at(-1)?.[1]
}

/** The thinnest of the table that carries so many amps, of the same kind of size. */
export function mainsSizeFor(amps: number, like: Gauge['unit']): Gauge | undefined {
  if (like === 'AWG') {
    const number = american.find(([, carries]) => carries >= amps)?.[0]
    return number === undefined ? undefined : { unit: 'AWG', number }
  }
  const area = metric.find(([, carries]) => carries >= amps)?.[0]
  return area === undefined ? undefined : { unit: 'mm²', area }
}
