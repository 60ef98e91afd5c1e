import { capital, isFigure, say } from '../figures'
import type { Analysis } from '../trials'

type Attempt = Analysis['motors']['attempts'][number]

const peaks = (attempts: readonly Attempt[]) =>
  attempts.flatMap(({ current, entry }) =>
    isFigure(current) ? [{ amps: current.x.value, attempt: entry.reading.number }] : [],
  )
const mean = (values: readonly number[]) => values.reduce((sum, x) => sum + x, 0) / values.length

/** Names of the machines that an attempt was at: "saw + pump" are two. */
const partsOf = (load: string) =>
  load
    .split(/ ?\+ ?|, | and /)
    .map((one) => one.trim().toLowerCase())
    .filter(Boolean)

/**
 * What attempts at one machine, or at several together, come to: the spread of their peaks, the highest and the one before it,
 * and a joint peak against the sum of those of each alone (docs/method/motors.md).
 */
export function machineWords({ motors: { attempts } }: Pick<Analysis, 'motors'>): string[] {
  const byLoad = new Map<string, Attempt[]>()
  for (const attempt of attempts) {
    const { load } = attempt.entry.reading
    byLoad.set(load, [...(byLoad.get(load) ?? []), attempt])
  }
  const alone = new Map([...byLoad].map(([load, own]) => [load.trim().toLowerCase(), peaks(own)]))
  return [...byLoad].flatMap(([load, own]) => [...spreadWords(load, own), ...jointWords(load, own, alone)])
}

function spreadWords(load: string, own: readonly Attempt[]): string[] {
  const read = peaks(own)
  if (read.length < 2) return []
  const amps = read.map((one) => one.amps)
  const [low, high] = [Math.min(...amps), Math.max(...amps)]
  const highest = read.find((one) => one.amps === high)
  const before = read.filter(({ attempt }) => attempt < (highest?.attempt ?? 0)).map((one) => one.amps)
  const marked =
    before.length && highest
      ? ` Attempt ${highest.attempt} is the highest; before it ${say(Math.max(...before), 'A')}.`
      : ''
  return [
    `${capital(load)}: ${read.length} peaks of ${say(low, 'A')} to ${say(high, 'A')}, ${say(mean(amps), 'A')} on average.${marked}`,
  ]
}

function jointWords(
  load: string,
  own: readonly Attempt[],
  alone: ReadonlyMap<string, readonly { amps: number }[]>,
): string[] {
  const parts = partsOf(load)
  const joint = peaks(own).map(({ amps }) => amps)
  const each = parts.map((part) => alone.get(part)?.map(({ amps }) => amps) ?? [])
  if (parts.length < 2 || !joint.length || each.some((one) => !one.length)) return []
  const [most, sum] = [Math.max(...joint), each.reduce((total, one) => total + Math.max(...one), 0)]
  return [
    `${capital(load)} together: ${say(most, 'A')}, ${say((100 * most) / sum, '%', 2)} of the ${say(sum, 'A')} that they take one by one.`,
  ]
}
