import type { Limiter, Load } from '@even-watt/contract'
import { hindrance, isMet, isNotMet, type Evidence, type Verdict } from '../court'
import type { Figure } from '../figures'
import { nameOfWho, type MotorsAnalysis } from '../motors'
import type { Analysis } from '../trials'
import { endedByOthers } from './power'
import { asStart, type StartAnswer } from './startPromise'

type Tried = MotorsAnalysis['attempts'][number]

interface AsAsked {
  /** W that are on beside the machine. */
  readonly base: number
  /** By what its soft starter eases its start; 1: it has none. */
  readonly assist: number
  readonly analysis: Analysis
}

/** The attempts at one machine, by its name. */
export const attemptsAt = ({ name }: Pick<Load, 'name'>, { motors }: Analysis): readonly Tried[] =>
  motors.attempts.filter(({ entry }) => plainly(entry.reading.load) === plainly(name))

const plainly = (name: string) => name.trim().toLowerCase()

/**
 * Whether a machine starts, by the attempts at it (docs/method/motors.md): one that started shows that it does beside as many
 * watts or fewer, one at which the unit gave out that it does not beside as many or more. A trip of the unit's own outweighs
 * what started. Undefined where they say nothing of it.
 */
export function asTried(tried: readonly Tried[], asked: AsAsked): StartAnswer | undefined {
  const { base: value, assist, analysis } = asked
  const ask = (attempts: readonly Tried[]) =>
    asStart(
      attempts.map((one) => evidenceOf(one, assist, analysis)),
      { value, unit: 'W', analysis },
    )
  const verdict = ask(tried)
  if (isNotMet(verdict.outcome)) {
    const by = tried.find(({ ended, entry }) => ended?.who === 'unit' && isOf(verdict, entry.id))
    return verdict.tried?.kept
      ? {
          answer: 'close',
          why: `It started it${counted(verdict)}; the unit itself gave out in ${name(by)}.`,
        }
      : { answer: 'no', why: `It did not start it (${name(by)}): ${nameOfWho.unit}.` }
  }
  if (isMet(verdict.outcome)) {
    const inTime = ask(tried.filter((one) => !started(one) || !isLate(one)))
    const [of, answer, how] = isMet(inTime.outcome)
      ? ([inTime, 'yes', 'It started it'] as const)
      : ([verdict, 'close', 'It started it late'] as const)
    const one = tried.find(({ entry }) => isOf(of, entry.id))
    return { answer, why: `${how} (${name(one)})${counted(verdict)}${failures(tried, verdict, analysis)}.` }
  }
  if (!verdict.reason || !saysSomething.has(verdict.reason.by)) return undefined
  const one = tried.findLast(({ entry }) => isOf(verdict, entry.id))
  return {
    answer: stopsThisRig.has(verdict.reason.by) ? 'no' : 'not shown',
    why: `It did not start it (${name(one)}): ${nameOfWho[one?.ended?.who ?? 'meter']}.`,
    ...(stopsThisRig.has(verdict.reason.by) ? { onStiff: 'not shown' as const } : {}),
  }
}

/** Who, where they stopped a start, stop the next one on the same rig. */
const stopsThisRig: ReadonlySet<Limiter> = new Set(['protection', 'joint', 'leads', 'supply'])
const saysSomething: ReadonlySet<Limiter> = new Set([...stopsThisRig, 'meter', 'person'])

const started = ({ outcome }: Tried) => outcome === 'started' || outcome === 'started late'
/** It came late, or the output folded under it. */
const isLate = ({ outcome, ended }: Tried) => outcome === 'started late' || ended?.who === 'unit'

function evidenceOf(one: Tried, assist: number, { record }: Analysis): Evidence {
  const { entry, ended } = one
  const doubt = record.doubts.readings.get(entry.id)
  const figure: Figure = {
    symbol: 'P beside',
    unit: 'W',
    x: { value: entry.reading.baseLoad ?? 0, sources: new Map() },
    grade: 'measured',
    ...(doubt === undefined
      ? {}
      : { refused: { why: `it is doubted: ${doubt}.`, todo: 'Start it once more.' } }),
    working: { formula: 'noted', inputs: [], notes: [], entries: [entry.id] },
  }
  const found = () => name(one)
  if (!started(one))
    return {
      code: 'did not start',
      figure,
      bound: 'at most',
      hindrances: ended ? endedByOthers(ended) : [notKnown],
      // Beside just as many watts it did not start either.
      about: 0,
      surely: true,
      found,
    }
  const eased = (entry.reading.assist ?? 1) > assist
  return { code: 'started', figure, bound: 'at least', hindrances: eased ? [easedBySoftStarter] : [], found }
}

const notKnown = hindrance('end not known', () => ({
  why: 'Who stopped it cannot be told.',
  would: 'Start it with the input volts on a meter that keeps the lowest.',
}))
export const easedBySoftStarter = hindrance('soft starter', () => ({
  why: 'A soft starter eased that start.',
  would: 'Start it without one.',
}))

const isOf = ({ figure }: Verdict, entry: string): boolean => figure?.working.entries.includes(entry) ?? false
const name = (one: Tried | undefined): string => (one ? `attempt ${one.entry.reading.number}` : 'an attempt')

const counted = ({ tried }: Verdict): string => (tried ? `, ${tried.kept} of ${tried.of} times` : '')

/** What else stopped it on this rig: it is not held against the unit, and is said. */
function failures(tried: readonly Tried[], verdict: Verdict, { record }: Analysis): string {
  const failed = tried.filter(
    (one) => !started(one) && !isOf(verdict, one.entry.id) && !record.doubts.readings.has(one.entry.id),
  )
  const [first] = failed
  if (!first) return ''
  const rest = failed.length > 1 ? ` and ${failed.length - 1} more` : ''
  return `; it did not in ${name(first)}${rest}: ${nameOfWho[first.ended?.who ?? 'meter']}`
}
