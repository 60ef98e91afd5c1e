import type { Question } from '@even-watt/contract'
import type { Answered, Open } from './answer'

/** What to read next, and which questions it would settle. */
export interface NextReading {
  readonly open: Open
  readonly settles: readonly Question[]
  /** In minutes, its watt-hours among them. */
  readonly cost: number
}

/** Watt-hours that are as dear as a minute (docs/method/answers.md). */
const wattHoursAMinute = 25

const costOf = ({ minutes, wattHours }: Open): number => minutes + wattHours / wattHoursAMinute

/**
 * What is open, the most questions for the least cost first; ties by a tester’s order. One load answers all that ask for a load
 * held no longer: so a short one, or a longer one that settles more, is weighed against the others (docs/method/answers.md).
 */
export function nextReadings(answered: readonly Answered[]): NextReading[] {
  const left = new Map(answered.flatMap(({ id, open }) => (open ? [[id, open] as const] : [])))
  const order: NextReading[] = []
  while (left.size) {
    const [best] = bundlesOf([...left]).sort((a, b) => b.settles.length / b.cost - a.settles.length / a.cost)
    if (!best) break
    order.push(best)
    for (const id of best.settles) left.delete(id)
  }
  return order
}

type OpenQuestion = readonly [Question, Open]

/** Readings that are made at once: those at one load, up to each time that one of them is held; all others alone. */
function bundlesOf(all: readonly OpenQuestion[]): NextReading[] {
  const loads = all.filter(([, { page, readings }]) => page === 'ladder' && readings === 1)
  const times = [...new Set(loads.map(([, { minutes }]) => minutes))]
  return [
    ...all.filter((one) => !loads.includes(one)).map((one) => together([one])),
    ...times.map((time) => together(loads.filter(([, { minutes }]) => minutes <= time))),
  ]
}

function together(all: readonly OpenQuestion[]): NextReading {
  const opens = all.map(([, open]) => open)
  const longest = opens.reduce((most, one) => (one.minutes > most.minutes ? one : most))
  const open = { ...longest, todo: [...new Set(opens.map(({ todo }) => todo))].join(' ') }
  return { open, settles: all.map(([id]) => id), cost: costOf(longest) }
}
