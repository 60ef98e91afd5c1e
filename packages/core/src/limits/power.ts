import { sayDuration, sayFigure } from '../figures'
import { judge, notMeasured, notShown, notTested, type Evidence, type Judge, type Verdict } from '../findings'
import { expanded } from '../meters'
import { readingsOf } from '../trials'
import { claimValue, sayClaim } from '../units'
import { attemptOf } from './attempt'
import { alarmsOnSupply, limitedBy, stoppedByJoint, tripsOnProtection, type Limit } from './limits'

/**
 * Continuous power is carried for the hold, inside regulation and without an alarm. It is censored: carried as
 * far as the loads went is "not shown: load-limited", never "not met" (docs/method/findings.md).
 */
export const judgeContinuous: Judge = (evidence) =>
  judgePower(evidence, evidence.claim.duration ?? evidence.settings.hold)

/** Surge from resistive steps of the ladder; a claim without a time is held to one second. */
export const judgeSurge: Judge = (evidence) => {
  const verdict = judgePower(evidence, evidence.claim.duration ?? 1)
  if (
    verdict.outcome === 'met' ||
    verdict.outcome === 'met, within uncertainty' ||
    verdict.outcome.startsWith('not met')
  )
    return verdict
  if (evidence.limiter) return verdict
  if (readingsOf(evidence.analysis.record, 'motors').length) {
    return notShown(
      evidence,
      'meter',
      'Motors were started, but typed extremes are shorter than a meter’s update and give no watts over time.',
      'A capture of a start, or a resistive step of that power, would show it.',
    )
  }
  return notTested('Surge was not tested: no step of that power, and no capture of a motor start.')
}

function judgePower(evidence: Evidence, hold: number): Verdict {
  const { claim, analysis } = evidence
  const wanted = claimValue(claim)
  const all = analysis.ladder.steps
    .map((step) => attemptOf(step, evidence))
    .filter((attempt) => attempt !== undefined)
  if (!all.length) return notTested(`${sayClaim(claim)} was not tested: no step has output watts.`)
  const measured = all.filter((attempt) => attempt.power.grade === 'measured')
  if (!measured.length && all[0]) return notMeasured(all[0].power)
  const attempts = measured.sort((a, b) => b.power.x.value - a.power.x.value)

  const inside = attempts.filter(
    (attempt) => attempt.alarm === 'none' && attempt.end === 'carried' && !attempt.outOfRegulation,
  )
  const carried = inside.find((attempt) => attempt.held >= hold)
  if (carried && carried.power.x.value >= wanted) {
    return {
      outcome: judge(carried.power.x, 'at least', wanted),
      figure: carried.power,
      sentence: `${sayFigure(carried.power)} was carried for ${sayDuration(carried.held)} against ${sayClaim(claim)}.`,
    }
  }

  const protection = limitedBy(attempts, analysis, tripsOnProtection)
  if (protection) return shown(evidence, protection)

  const overload = attempts.find(
    (attempt) => attempt.alarm === 'overload' || (attempt.end === 'tripped' && attempt.alarm === 'none'),
  )
  if (overload && !evidence.limiter && overload.power.x.value < wanted) {
    const within = wanted - overload.power.x.value <= expanded(overload.power.x)
    return {
      outcome: within ? 'not met, within uncertainty' : 'not met',
      figure: overload.power,
      sentence: `It gave up at ${sayFigure(overload.power)} (overload), short of ${sayClaim(claim)}.`,
    }
  }

  const reached = attempts.filter((attempt) => attempt.power.x.value >= wanted * 0.995)
  const outside = reached.find((attempt) => attempt.outOfRegulation)
  if (outside?.outOfRegulation && !evidence.limiter) {
    return {
      outcome: 'not met',
      figure: outside.outOfRegulation,
      sentence: `It carries ${sayFigure(outside.power)}, but there its output is ${sayFigure(outside.outOfRegulation)} from nominal, outside the regulation it claims.`,
    }
  }

  const highest = attempts[0]
  if (!highest) return notTested(`${sayClaim(claim)} was not tested.`)
  const far = `The highest step was ${sayFigure(highest.power)}, for ${sayDuration(highest.held || 1)}.`
  const supply = limitedBy(attempts, analysis, alarmsOnSupply)
  if (supply) return shown(evidence, supply)
  const hot = attempts.find((attempt) => attempt.alarm === 'heat')
  if (hot)
    return notShown(
      evidence,
      'time',
      `The heat alarm came at ${sayFigure(hot.power)}.`,
      'Start again within 5 K of ambient.',
      hot.power,
    )
  const joint = limitedBy(reached, analysis, stoppedByJoint)
  if (joint) return shown(evidence, joint)
  const cut = reached.find((attempt) => attempt.held < hold || attempt.end !== 'carried')
  if (cut) {
    return notShown(
      evidence,
      'time',
      `${sayFigure(cut.power)} was carried for ${sayDuration(cut.held || 1)}${cut.end === 'stopped by hand' ? ', then stopped by hand' : ''}; ${sayDuration(hold)} is needed.`,
      'The whole hold would show it.',
      cut.power,
    )
  }
  return notShown(evidence, 'load', far, `Loads of ${sayClaim(claim)} in all would show it.`, highest.power)
}

const shown = (evidence: Evidence, { limiter, why, wouldShow, power, step }: Limit): Verdict => ({
  ...notShown(evidence, limiter, why, wouldShow, power),
  step,
})
