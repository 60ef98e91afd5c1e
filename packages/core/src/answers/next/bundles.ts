import type { Question } from '@even-watt/contract'
import type { Answered, Open } from '../answer'
import type { Chance, Chances } from './chances'
import { cheapestCover } from './cover'
import type { Load } from './shown'

/** What to read next, and which questions it would settle. */
export interface NextReading {
  readonly open: Open
  readonly settles: readonly Question[]
  /** In minutes, its watt-hours among them. */
  readonly cost: number
  /** Of what it settles, how often that is so; absent where nothing was weighed. */
  readonly chances?: ReadonlyMap<Question, Chance>
}

/** What is open: in which order it is best read, and what cannot be. */
export interface ReadingOrder {
  readonly order: readonly NextReading[]
  /** Questions that no reading with the meters there would settle. */
  readonly beyondMeters: readonly Question[]
  /** Loads under which the supply would sag to where the unit warns or stops, W. */
  readonly beyondSupply: readonly number[]
}

/** Watt-hours that are as dear as a minute (docs/method/answers.md). */
const wattHoursAMinute = 25
/** Share of what the unit may be from which a reading is counted on. */
const countedOn = 0.5

const costOf = ({ minutes, wattHours }: Open): number => minutes + wattHours / wattHoursAMinute

type OpenQuestion = readonly [Question, Open]

/** Chances of a load; absent: nothing is known against it, and whatever asks for it is settled. */
export type Weighed = (load: Load) => Chances | undefined

/**
 * The cheapest readings that together settle all that can be, the most for its cost first; ties by a tester’s order. One load
 * answers all that ask for a load held no longer, and what its chances say besides (docs/method/answers.md).
 */
export function readingOrder(
  answered: readonly Answered[],
  weighed: Weighed = () => undefined,
): ReadingOrder {
  const all = answered.flatMap(({ id, open }): OpenQuestion[] => (open ? [[id, open]] : []))
  const loads = all.filter(([, { load }]) => load !== undefined)
  const alone = all
    .filter(([, { load }]) => load === undefined)
    .map(([id, open]) => reading([[id, open]], open))
  const beyondSupply: Load[] = []
  const atLoads = distinct(loads.flatMap(([, { load }]) => load ?? [])).flatMap((load): NextReading[] => {
    const chances = weighed(load)
    if (chances && chances.sags > countedOn) {
      beyondSupply.push(load)
      return []
    }
    const settled = chances
      ? all.filter(([id]) => (chances.of.get(id)?.answered ?? 0) >= countedOn)
      : loads.filter(([, open]) => isWithin(open.load, load))
    const [, like] = loads.find(([, open]) => open.load && same(open.load, load)) ?? []
    return like && settled.length
      ? [{ ...reading(settled, like), ...(chances ? { chances: chances.of } : {}) }]
      : []
  })
  const bundles = [...atLoads, ...alone]
  const reached = new Set(bundles.flatMap(({ settles }) => settles))
  return {
    order: eachOnce(cheapestCover(bundles)),
    beyondMeters: loads.flatMap(([id, { load }]) =>
      reached.has(id) || beyondSupply.some((one) => load && same(one, load)) ? [] : [id],
    ),
    beyondSupply: beyondSupply.map(({ watts }) => watts),
  }
}

/** The most for its cost first; what one settles the later ones no longer count. */
function eachOnce(all: readonly NextReading[]): NextReading[] {
  const order: NextReading[] = []
  let left = [...all]
  while (left.length) {
    const [most] = left.sort((a, b) => b.settles.length / b.cost - a.settles.length / a.cost)
    if (!most) break
    order.push(most)
    left = left.flatMap((one) => {
      const settles = one.settles.filter((id) => !most.settles.includes(id))
      return one !== most && settles.length ? [{ ...one, settles }] : []
    })
  }
  return order
}

const same = (a: Load, b: Load) => a.watts === b.watts && a.seconds === b.seconds

const distinct = (loads: readonly Load[]): Load[] =>
  loads.filter((load, i) => loads.findIndex((one) => same(one, load)) === i)

/** A load of no fewer watts that is held no shorter tells what is asked of the other one; nothing connected is its own. */
const isWithin = (asked: Load | undefined, load: Load): boolean =>
  asked !== undefined &&
  (asked.watts === 0) === (load.watts === 0) &&
  asked.watts <= load.watts * 1.001 &&
  asked.seconds <= load.seconds

/** One reading for several questions, as the one asks for it that is read so. */
function reading(all: readonly OpenQuestion[], like: Open): NextReading {
  const own = all.filter(([, { page }]) => page === like.page)
  return {
    open: { ...like, todo: [...new Set([like.todo, ...own.map(([, { todo }]) => todo)])].join(' ') },
    settles: all.map(([id]) => id),
    cost: costOf(like),
  }
}
