import type { Question } from '@even-watt/contract'
import { formatNumber, say, sayDuration, type NextReading, type ReadingOrder } from '@even-watt/core'

type Cost = Pick<NextReading['open'], 'readings' | 'minutes' | 'wattHours'>

/** "1 reading, about 2 min, 25 Wh." */
export function sayCost({ readings, minutes, wattHours }: Cost): string {
  const time = `about ${sayDuration(60 * Math.max(1, Math.round(minutes)))}`
  const energy = wattHours >= 1 ? `, ${say(wattHours, 'Wh', 2)}` : ''
  return `${formatNumber(readings, 0)} ${readings === 1 ? 'reading' : 'readings'}, ${time}${energy}.`
}

type Asks = (ids: readonly Question[]) => string

/** Fewer than so many of what the unit may be are decided: its meter is the limit. */
const seldom = 0.5

/** Why this reading is the next one, each a sentence. */
export function sayWhy(first: NextReading, rest: readonly NextReading[], asks: Asks): string[] {
  const perQuestion = ({ settles, cost }: NextReading) => cost / settles.length
  const [second] = rest
  const unsure = first.settles.filter((id) => (first.chances?.get(id)?.decided ?? 1) < seldom)
  return [
    ...(second
      ? [
          perQuestion(first) < perQuestion(second)
            ? 'Why this one: it tells most for its time.'
            : 'Why this one: it costs no more than the others, and comes first in the work.',
        ]
      : []),
    ...(unsure.length
      ? [`With these meters it may only be rough: ${asks(unsure)} A finer meter would say more.`]
      : []),
  ]
}

/** What cannot be read on this bench, and what would help. */
export function sayBeyond({ beyondMeters, beyondSupply }: ReadingOrder, asks: Asks): string[] {
  return [
    ...(beyondSupply.length
      ? [
          `At ${beyondSupply.map((watts) => say(watts, 'W')).join(' and ')} this supply would sag to where the unit warns. A stronger one is needed.`,
        ]
      : []),
    ...(beyondMeters.length
      ? [`The meters on this rig do not answer: ${asks(beyondMeters)} Hang another one under Rig.`]
      : []),
  ]
}
