import type { Line, Observation } from './line'
import { LineSums, type SummedLine, type Weighed } from './lineSums'

/** A step stands off the line from this share of the volts at no current on, and from so many scatters of the others. */
const leastShare = 0.01
const leastScatters = 5

/**
 * What stands off pulls the line of all along, and a step is left over of it: where nothing is off that line by this share of
 * what would count, nothing stands off.
 */
const leftOver = 1 / 10

/** At most this share of the steps is set aside, and so many stay; else it is the line that is wrong. */
const mostShare = 1 / 3
const leastLeft = 4

interface Candidate extends Weighed {
  readonly of: Observation
}

/**
 * Which observations stand so far under the line of all others that they cannot belong to it, with the volts they lack:
 * a tap or bank that was lowered on purpose, or one running low (docs/method/supply.md). The farthest is taken out
 * first, by what the line of the others would say of it, which its leverage tells without another fit; what is taken out must
 * stand clear of the line that is left. One fit in all: each further line follows from the sums without what was taken out.
 */
export function offLine(whole: Line): ReadonlyMap<Observation, number> {
  const all = candidatesOf(whole)
  const sums = new LineSums(all)
  let off: ReadonlyMap<Observation, number> = new Map()
  const taken: Candidate[] = []
  const left = new Set(all)
  let line = sums.line(true)
  const most = Math.floor(mostShare * all.length)
  while (taken.length < most && left.size > leastLeft && line && isBent(left, line, whole)) {
    const worst = farthest(left, line)
    if (!worst) break
    taken.push(worst)
    left.delete(worst)
    sums.remove(worst)
    const rest = sums.line(true)
    if (!rest) break
    const scatter = scatterOf(left, rest)
    const volts = taken.map((one) => [one.of, lackOf(one, rest)] as const)
    const clear = volts.every(([, lack], i) => {
      const reach = sums.reach(rest, (taken[i] as Candidate).row)
      const least = leastShare * restVolts(rest, whole)
      return lack > Math.max(least, leastScatters * scatter * Math.sqrt(1 + reach))
    })
    if (clear) off = new Map(volts)
    line = rest
  }
  return off
}

/** Rows about the middle of their currents and times, so that the sums lose no digits. */
function candidatesOf({ observations, middle, weights }: Line): Candidate[] {
  return observations.map((of, i) => ({
    of,
    row: [1, -(of.I.x.value - middle.I), of.hours - middle.hours],
    V: voltsOf(of) - middle.V,
    weight: weights[i] ?? 0,
  }))
}

const voltsOf = ({ volts }: Observation): number =>
  volts.reduce((sum, [figure, sign]) => sum + sign * figure.x.value, 0)

/** Counted by hand: it is asked of every step for each that is taken out. */
function dot(row: readonly number[], coefficients: readonly number[]): number {
  let sum = 0
  for (let k = 0; k < coefficients.length; k++) sum += (coefficients[k] as number) * (row[k] as number)
  return sum
}

/** xᵀ·M·x */
function square(row: readonly number[], matrix: readonly (readonly number[])[]): number {
  let sum = 0
  for (let k = 0; k < matrix.length; k++) sum += (row[k] as number) * dot(row, matrix[k] as number[])
  return sum
}

/** V at no current: the line at the middle, carried back there. */
const restVolts = ({ coefficients: [V = 0, R = 0, drift = 0] }: SummedLine, { middle }: Line): number =>
  middle.V + V + R * middle.I - drift * middle.hours

/** V that a step lacks of what a line says. */
const lackOf = ({ row, V }: Candidate, { coefficients }: SummedLine): number => dot(row, coefficients) - V

/** The step that lacks most of what the line of all others says; idle is never the one that was lowered. */
function farthest(left: ReadonlySet<Candidate>, line: SummedLine): Candidate | undefined {
  let worst: { one: Candidate; lack: number } | undefined
  for (const one of left) {
    if (one.of.step === undefined) continue
    const leverage = one.weight * square(one.row, line.inverse)
    if (leverage > 1 - 1e-9) continue
    const lack = lackOf(one, line) / (1 - leverage)
    if (!worst || lack > worst.lack) worst = { one, lack }
  }
  return worst?.one
}

/** Whether anything left lies so far off its line that something may stand off. */
function isBent(left: ReadonlySet<Candidate>, line: SummedLine, whole: Line): boolean {
  const least = leftOver * leastShare * restVolts(line, whole)
  for (const one of left) if (Math.abs(lackOf(one, line)) > least) return true
  return false
}

/** Standard deviation of single observations about their line. */
function scatterOf(left: ReadonlySet<Candidate>, line: SummedLine): number {
  let squares = 0
  for (const one of left) squares += lackOf(one, line) ** 2
  return Math.sqrt(squares / Math.max(1, line.freedom))
}
