import { levelsOf } from './basics'

/**
 * Instants, in samples, at which a wave rises through a level that it never dwells on: three quarters of the way up, so that
 * a stepped wave, which dwells at zero, crosses it on its edges only (docs/method/waveform.md). Noise cannot cross twice: the
 * wave must first fall well below. Between two samples the instant is interpolated. A wave with two unequal humps a cycle
 * crosses twice; such pairs are told by their beat and every other one is taken. None where there is no wave.
 */
export function risingCrossings(x: Float64Array): number[] {
  const [low = 0, high = 0] = levelsOf(x, [0.005, 0.995])
  const span = high - low
  if (!(span > 0)) return []
  const level = low + 0.75 * span
  const armedBelow = low + 0.6 * span
  const found: number[] = []
  let armed = false
  for (let i = 1; i < x.length; i++) {
    const [before, now] = [x[i - 1] as number, x[i] as number]
    if (before < armedBelow) armed = true
    if (!armed || now < level) continue
    // The last step up may begin above the level where noise had reached it: it is then taken at its beginning.
    found.push(before < level ? i - 1 + (level - before) / (now - before) : i - 1)
    armed = false
  }
  return oncePerCycle(found)
}

const gaps = (instants: readonly number[], step: number) =>
  instants.slice(step).map((instant, i) => instant - (instants[i] as number))

const relativeSpread = (values: readonly number[]) => {
  const mean = values.reduce((sum, v) => sum + v, 0) / values.length
  return Math.sqrt(values.reduce((sum, v) => sum + (v - mean) ** 2, 0) / values.length) / mean
}

function oncePerCycle(found: number[]): number[] {
  if (found.length < 5) return found
  const single = relativeSpread(gaps(found, 1))
  return single > 0.05 && relativeSpread(gaps(found, 2)) < single / 5
    ? found.filter((_, i) => i % 2 === 0)
    : found
}
