import { basicsOf } from './basics'

/** Samples looked at for the steps of a converter. */
const looked = 200_000
/** As many bits as converters have. */
const bits = [8, 10, 12, 14, 16]
/** How many times as often as the value before it an extreme is met where the range cut it off; a round top: 2.4 times. */
const crowded = 4

/**
 * Whether the range cut tops off: in two places or more three samples in a row stand at the very highest or lowest value,
 * several times as many as at the step before it, which no round top does. A wave that is flat itself may stand at one code
 * for long: so where the samples come in steps, the extreme must be the last code of a converter too.
 */
export function isClipped(x: Float64Array): boolean {
  const { max, min } = basicsOf(x)
  if (!(max > min)) return false
  return cutAt(x, max, min, 1) || cutAt(x, min, max, -1)
}

function cutAt(x: Float64Array, extreme: number, opposite: number, side: 1 | -1): boolean {
  let run = 0
  let runs = 0
  let there = 0
  let before = opposite
  for (const v of x) {
    run = v === extreme ? run + 1 : 0
    if (v === extreme) there++
    else if (side * (v - before) > 0) before = v
    // Once might be a wave that happens to turn there; a range that ended shows in every cycle.
    if (run === 3) runs++
  }
  if (runs < 2) return false
  const step = stepOf(x)
  const next = step === undefined ? before : extreme - side * step
  const near = x.reduce((count, v) => count + Number(Math.abs(v - next) <= (step ?? 0) / 2), 0)
  if (there <= crowded * near) return false
  return step === undefined || isLastCode(extreme, opposite, step, side)
}

/** The smallest step between values, where all of them are so many steps apart; undefined of values between. */
function stepOf(x: Float64Array): number | undefined {
  const values = [...new Set(x.subarray(0, looked))].sort((a, b) => a - b)
  if (values.length > 2 ** 14) return undefined
  // What the machine rounds differently is the same value.
  const least = 1e-9 * (Math.abs(values[0] ?? 0) + 1)
  const steps = values
    .slice(1)
    .map((v, i) => v - (values[i] as number))
    .filter((one) => one > least)
  const step = Math.min(...steps)
  const whole = steps.filter((one) => Math.abs(one / step - Math.round(one / step)) < 0.1)
  return whole.length > 0.95 * steps.length ? step : undefined
}

const isLastCode = (extreme: number, opposite: number, step: number, side: 1 | -1): boolean =>
  bits.some((count) => {
    const half = 2 ** (count - 1)
    const alone = Math.abs(extreme / step - (side > 0 ? half - 1 : -half)) < 0.6
    const across = Math.abs(Math.abs(extreme - opposite) / step - (2 * half - 1)) < 1.1
    return alone || across
  })
