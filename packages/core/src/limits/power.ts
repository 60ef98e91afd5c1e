import { decides, isFigure, say, sayDuration, sayFigure, type Figure } from '../figures'
import { judge, notShown, notTested, undecided, type Evidence, type Judge, type Verdict } from '../findings'
import { atThreshold } from '../ladder'
import { expanded } from '../meters'
import { claimValue, sayClaim } from '../units'
import { allAttempts, isMotor, promisedRegulation, type Attempt } from './attempt'
import { alarmsOnSupply, limitedBy, stoppedByJoint, tripsOnProtection, type Limit } from './limits'

/** What is asked of an attempt at a power claim. */
export interface Asked {
  readonly evidence: Evidence
  /** W, or VA. */
  readonly wanted: number
  /** How long it is to be carried, s. */
  readonly hold: number
  /** Whether a carried step of which no time was noted was surely held that long. */
  readonly shortEnough: boolean
  /** Whether the promise is for a time only, so that what happens after it says nothing. */
  readonly timed: boolean
}

/**
 * Continuous power is carried for the hold, inside regulation and without an alarm. It is censored: carried as
 * far as the loads went is "not shown: load-limited", never "not met" (docs/method/findings.md). A motor's trip never
 * judges it.
 */
export const judgeContinuous: Judge = (evidence) =>
  judgePower(
    {
      evidence,
      wanted: claimValue(evidence.claim),
      hold: evidence.claim.duration ?? evidence.settings.hold,
      shortEnough: false,
      timed: evidence.claim.duration !== undefined,
    },
    ({ step }) => !isMotor(step),
  )

export function judgePower(asked: Asked, counts: (attempt: Attempt) => boolean): Verdict {
  const { evidence, wanted } = asked
  const { claim } = evidence
  const all = allAttempts(evidence).filter(counts)
  if (!all.length)
    return notTested(
      `${sayClaim(claim)} was not tested: no step has output ${claim.unit === 'VA' ? 'VA' : 'watts'}.`,
    )
  const attempts = all.filter(({ power }) => decides(power)).sort((a, b) => b.power.x.value - a.power.x.value)
  if (!attempts.length && all[0]) return undecided(all[0].power)

  const carried = attempts.find((attempt) => attempt.power.x.value >= wanted && lasted(attempt, asked))
  const failed = evidence.limiter ? undefined : attempts.filter((one) => gaveUp(one, asked)).sort(latest)[0]
  if (carried && !(failed && failed.at > carried.at)) return carriedVerdict(carried, asked, failed)
  if (failed) return failedVerdict(failed, asked, carried)

  const reached = attempts.filter((attempt) => attempt.power.x.value >= wanted * 0.995)
  const outside = reached.find((attempt) => attempt.carried && attempt.outOfRegulation)
  if (outside?.outOfRegulation && !evidence.limiter)
    return outsideRegulation(outside, outside.outOfRegulation, evidence)
  return whyNotShown(attempts, reached, asked)
}

const latest = (a: Attempt, b: Attempt) => (a.at < b.at ? 1 : -1)

const heldLong = ({ held, carried }: Attempt, { hold, shortEnough }: Asked) =>
  held === undefined ? shortEnough && carried : held >= hold

/** Carried for the hold: to its end, or until something ended it later than that. */
const lasted = (attempt: Attempt, asked: Asked): boolean =>
  heldLong(attempt, asked) && !attempt.outOfRegulation && (attempt.carried || attempt.end === 'tripped')

/** A trip of which neither an alarm nor the input volts are known: the supply may have fallen away under it. */
const inputUnknown = ({ end, alarm, step }: Attempt): boolean =>
  end === 'tripped' && alarm === 'none' && !isFigure(step.read.V_B)

/** Whether something else than the unit ended it: protection, the supply, or a word that has to be asked for. */
const endedByOthers = (attempt: Attempt, { evidence: { analysis } }: Asked): boolean =>
  attempt.alarm === 'other' ||
  inputUnknown(attempt) ||
  limitedBy([attempt], analysis, tripsOnProtection) !== undefined ||
  limitedBy([attempt], analysis, alarmsOnSupply) !== undefined

/** A trip no further above a promise than this share of it is a trip at it: loads come in steps. */
const aboutThere = 0.02

/**
 * The unit itself gave up, by overload or heat, at no more than what it promises: before the hold was over, or at any
 * time at less than it promises for good.
 */
function gaveUp(attempt: Attempt, asked: Asked): boolean {
  const { power, end, held } = attempt
  if (end !== 'tripped' || endedByOthers(attempt, asked)) return false
  const U = expanded(power.x)
  if (power.x.value - Math.max(U, aboutThere * asked.wanted) > asked.wanted) return false
  if (held === undefined) return !asked.shortEnough
  return held < asked.hold || (!asked.timed && power.x.value + U < asked.wanted)
}

const forHow = ({ held }: Attempt) => (held === undefined ? '' : ` for ${sayDuration(held)}`)

function carriedVerdict(best: Attempt, { evidence: { claim }, wanted }: Asked, earlier?: Attempt): Verdict {
  const before = earlier ? ` Before, it gave up at ${sayFigure(earlier.power)}${forHow(earlier)}.` : ''
  return {
    outcome: judge(best.power.x, 'at least', wanted),
    figure: best.power,
    sentence: `${sayFigure(best.power)} was carried${forHow(best)} against ${sayClaim(claim)}.${before}`,
  }
}

function failedVerdict(failed: Attempt, { evidence: { claim }, hold }: Asked, carried?: Attempt): Verdict {
  const cause = failed.alarm === 'heat' ? 'by heat' : 'by overload'
  const { held } = failed
  const time =
    held === undefined ? '' : ` after ${sayDuration(held)}${held < hold ? ` of ${sayDuration(hold)}` : ''}`
  const before = carried ? ` Before, ${sayFigure(carried.power)} was carried${forHow(carried)}.` : ''
  return {
    outcome: 'not met',
    figure: failed.power,
    sentence: `It gave up at ${sayFigure(failed.power)}, ${cause}${time}, against ${sayClaim(claim)}.${before}`,
  }
}

/** Carried, but at volts that are not those of a carried load: the unit's doing, unless its input stood where it warns. */
function outsideRegulation({ power, step }: Attempt, off: Figure, evidence: Evidence): Verdict {
  const { analysis } = evidence
  const from =
    promisedRegulation(analysis) === undefined
      ? 'under what it gives with nothing connected'
      : 'from nominal, outside the regulation it claims'
  const sentence = `It carries ${sayFigure(power)}, but there its output is ${sayFigure(off)} ${from}`
  return atThreshold(step, analysis.record.revision.unit)
    ? notShown(
        evidence,
        'supply',
        `${sentence}, and its input was down to where it warns or stops.`,
        'A stiffer bank or shorter leads would show it.',
        power,
      )
    : { outcome: 'not met', figure: off, sentence: `${sentence}.` }
}

/** How near an attempt came to the promise, 0 to 1: by its power and by its time. */
const nearness = ({ power, held }: Attempt, { wanted, hold }: Asked) =>
  Math.min(1, power.x.value / wanted) * Math.min(1, (held ?? 0) / hold || 0.01)

function whyNotShown(attempts: readonly Attempt[], reached: readonly Attempt[], asked: Asked): Verdict {
  const { evidence, hold } = asked
  const { claim, analysis } = evidence
  const protection = limitedBy(attempts, analysis, tripsOnProtection)
  if (protection) return shown(evidence, protection)
  const supply = limitedBy(attempts, analysis, alarmsOnSupply)
  if (supply) return shown(evidence, supply)
  const unnamed = attempts.find(({ alarm }) => alarm === 'other')
  if (unnamed)
    return notShown(
      evidence,
      'time',
      `An alarm came at ${sayFigure(unnamed.power)}, and which it was is not noted.`,
      'Note what it said, in the words of the manual.',
      unnamed.power,
    )
  const blind = attempts.find(inputUnknown)
  if (blind)
    return notShown(
      evidence,
      'meter',
      `It tripped at ${sayFigure(blind.power)}; whether its input had fallen by then is not known.`,
      'Read V_B at the terminals, and note which alarm came.',
      blind.power,
    )
  // Heat after longer than is asked says nothing of what is asked.
  const hot = attempts.find(({ alarm, held }) => alarm === 'heat' && (held ?? 0) < hold)
  if (hot)
    return notShown(
      evidence,
      'time',
      `The heat alarm came at ${sayFigure(hot.power)}${forHow(hot)}.`,
      'Start again within 5 K of ambient.',
      hot.power,
    )
  const joint = limitedBy(reached, analysis, stoppedByJoint)
  if (joint) return shown(evidence, joint)
  const cut = [...reached].sort((a, b) => nearness(b, asked) - nearness(a, asked))[0]
  if (cut) return cutShort(cut, asked)
  const highest = attempts[0]
  if (!highest) return notTested(`${sayClaim(claim)} was not tested.`)
  const time = highest.held === undefined ? '' : `, for ${sayDuration(highest.held)}`
  const gone = highest.end === 'tripped' && highest.held !== undefined && highest.held >= hold
  return notShown(
    evidence,
    'load',
    `The highest step was ${sayFigure(highest.power)}${time}${gone ? ', longer than is asked' : ''}.`,
    `Loads of ${claim.load === undefined ? sayClaim(claim) : say(claim.load, 'W')} in all would show it.`,
    highest.power,
  )
}

/** Reached, but not for the time that is asked, or with a warning. */
function cutShort(cut: Attempt, { evidence, hold }: Asked): Verdict {
  const warned = cut.alarm === 'overload' ? ' with the overload alarm on' : ''
  if (cut.held === undefined)
    return notShown(
      evidence,
      'time',
      `${sayFigure(cut.power)} was carried${warned}; hold not noted.`,
      `Hold it for ${sayDuration(hold)} and note the time.`,
      cut.power,
    )
  const stopped = cut.end === 'stopped by hand' ? ', then stopped by hand' : ''
  return notShown(
    evidence,
    'time',
    `${sayFigure(cut.power)} was carried for ${sayDuration(cut.held)}${warned}${stopped}; ${sayDuration(hold)} is needed.`,
    `Hold it for ${sayDuration(hold)}${warned && ' without the alarm'} to decide.`,
    cut.power,
  )
}

const shown = (evidence: Evidence, { limiter, why, wouldShow, power, step }: Limit): Verdict => ({
  ...notShown(evidence, limiter, why, wouldShow, power),
  step,
})
