import { say, sayDuration, sayFigure } from '../figures'
import { judge, notShown, notTested, type Evidence, type Judge, type Verdict } from '../findings'
import { claimValue, sayClaim } from '../units'
import { surgeWindows } from '../waveform/limits'
import { remembering } from '../remember'
import type { RevisionRecord } from '../trials'
import { allAttempts } from './attempt'
import { judgePower } from './power'
import { tooSlow } from './slowMeter'
import { bestOf, surgeCurveOf, type SurgeCurve, type SurgePoint } from './surgeCurve'

/** s for which a peak is asked of which no time is stated: about what a motor takes to start. */
const unstated = 1

const same = remembering<RevisionRecord, SurgeCurve>()

const curveOf = ({ analysis }: Pick<Evidence, 'analysis'>): SurgeCurve =>
  same(analysis.record, [], () => surgeCurveOf(analysis))

/**
 * Surge power at the claim's own time, from steps and overloads that were held, and from the surge-duration curve of what was
 * captured; a claim without a time is judged at one second, and every window is said (docs/method/surge.md). Carried is what
 * stood at 90 % of its volts or more. A unit that gave out below the claim did not meet it; a load that wanted no more shows
 * nothing of more.
 */
export const judgeSurge: Judge = (evidence) => {
  const { claim } = evidence
  const hold = claim.duration ?? unstated
  const asked = { evidence, wanted: claimValue(claim), hold, shortEnough: hold <= 5, timed: true }
  const bySteps = judgePower(asked, (attempt) => !tooSlow(attempt, hold, evidence))
  const byCurve = claim.unit === 'VA' || evidence.leg ? undefined : fromCurve(evidence, hold)
  const [one] = [byCurve, bySteps].flatMap((verdict) => (verdict?.outcome.startsWith('met') ? [verdict] : []))
  const verdict = one ?? decided(bySteps) ?? (byCurve && decided(byCurve)) ?? byCurve ?? bySteps
  const said = withWindows(verdict, evidence)
  if (verdict !== bySteps || (verdict.outcome !== 'not tested' && verdict.limiter !== 'load')) return said
  return evidence.limiter ? said : bySlowMeter(evidence, hold)
}

const decided = (verdict: Verdict) => (verdict.outcome.startsWith('not met') ? verdict : undefined)

/** By what was captured; undefined: nothing of that length was. */
function fromCurve(evidence: Evidence, hold: number): Verdict | undefined {
  const { claim } = evidence
  const wanted = claimValue(claim)
  const { sources } = curveOf(evidence)
  const points = sources.flatMap((source) => source.over(hold) ?? [])
  const captured = points.filter(({ source }) => isCaptured(source.entry, evidence))
  if (!captured.length) return undefined
  const carried = bestOf(captured, false)
  const against = `against ${sayClaim(claim)}`
  const time = sayDuration(hold)
  if (carried && carried.W.x.value >= wanted)
    return {
      outcome: judge(carried.W.x, 'at least', wanted),
      figure: carried.W,
      sentence: `${sayFigure(carried.W)} was carried for ${time} at its best (${carried.source.words}) ${against}.`,
    }
  const most = [carried, bestOf(captured, true)]
    .filter((one) => one !== undefined)
    .sort((a, b) => b.W.x.value - a.W.x.value)[0]
  if (!most) return undefined
  const gaveOut = captured.filter(({ source }) => source.endedBy === 'unit' && source.limited >= hold)
  const fullest = [...gaveOut].sort((a, b) => voltAmperes(b) - voltAmperes(a))[0]
  if (fullest && !evidence.limiter) {
    const W = fullest.W.x.value
    const sag = fullest.hollow ? ', with its volts under 90 %' : ''
    if (voltAmperes(fullest) < wanted)
      return {
        outcome: judge(fullest.W.x, 'at least', wanted),
        figure: fullest.W,
        sentence: `Over its best ${time} it gave ${sayFigure(fullest.W)}${sag} (${fullest.source.words}), and there the unit itself gave out, ${against}.`,
      }
    if (W >= wanted)
      return notShown(
        evidence,
        'load',
        `Over its best ${time} it gave ${sayFigure(fullest.W)}${sag} (${fullest.source.words}): more than is asked, and its volts did not stand it.`,
        `A load of just ${sayClaim(claim)} would show whether they stand that.`,
        fullest.W,
      )
    return notShown(
      evidence,
      'load',
      `Over its best ${time} it gave ${sayFigure(fullest.W)}${sag} (${fullest.source.words}), and ${say(voltAmperes(fullest), 'VA')}: the load took more current than watts.`,
      `A resistive step of ${sayClaim(claim)} would show it.`,
      fullest.W,
    )
  }
  const others = captured.find(({ source }) => source.endedBy === 'supply' || source.endedBy === 'protection')
  if (others)
    return notShown(
      evidence,
      others.source.endedBy === 'supply' ? 'supply' : 'protection',
      `The best ${time} was ${sayFigure(most.W)} (${most.source.words}).`,
      others.source.endedBy === 'supply'
        ? 'A stiffer bank or shorter leads would show it.'
        : 'Protection and cable for this current would show it.',
      most.W,
    )
  return notShown(
    evidence,
    'load',
    `The best ${time} was ${sayFigure(most.W)} (${most.source.words}), and the load wanted no more.`,
    `A harder start, or a step of ${sayClaim(claim)}, would show it.`,
    most.W,
  )
}

const voltAmperes = ({ VA, W }: SurgePoint) => Math.max(VA ?? 0, W.x.value)

const isCaptured = (entry: string, { analysis }: Evidence) =>
  analysis.record.standing
    .get('capture')
    ?.some((one) => one.kind === 'capture' && one.reading.about === entry) ?? false

/** A claim that states no time is said at every window that anything was carried over. */
function withWindows(verdict: Verdict, evidence: Evidence): Verdict {
  const { claim } = evidence
  if (claim.duration !== undefined || claim.unit === 'VA' || evidence.leg || verdict.outcome === 'not tested')
    return verdict
  const { sources } = curveOf(evidence)
  const wanted = claimValue(claim)
  const rows = surgeWindows.flatMap((seconds) => {
    const all = sources.flatMap((source) => source.over(seconds) ?? [])
    const [best, sagged] = [bestOf(all, false), bestOf(all, true)]
    return best || sagged ? [{ seconds, best, sagged }] : []
  })
  if (!rows.length) return verdict
  const met = rows.filter(({ best }) => best && best.W.x.value >= wanted)
  const last = met.at(-1)
  const each = rows
    .map(({ seconds, best, sagged }) => {
      const more =
        sagged && sagged.W.x.value > (best?.W.x.value ?? 0) ? say(sagged.W.x.value, 'W') : undefined
      const carried = best ? say(best.W.x.value, 'W') : 'nothing'
      return `${sayDuration(seconds)}: ${carried}${more ? ` (${more} with its volts under 90 %)` : ''}`
    })
    .join(', ')
  const sum = last
    ? `It is carried for up to ${sayDuration(last.seconds)} at what was tried.`
    : 'It was carried over none of them.'
  return {
    ...verdict,
    sentence: `${verdict.sentence} No time is stated, so it is judged at ${sayDuration(unstated)}; the best of each time: ${each}. ${sum}`,
  }
}

/** What a meter too slow for it read, and motors of which only extremes are known. */
function bySlowMeter(evidence: Evidence, hold: number): Verdict {
  const { analysis, claim } = evidence
  const wanted = claimValue(claim)
  const slow = allAttempts(evidence).find(
    (attempt) => attempt.power.x.value >= wanted && tooSlow(attempt, hold, evidence),
  )
  if (slow)
    return notShown(
      evidence,
      'meter',
      `${sayFigure(slow.power)} was read, but its meter is too slow for ${sayDuration(hold)}.`,
      'A capture, or a meter that reads several times in that time, would show it.',
      slow.power,
    )
  if (!analysis.motors.attempts.length)
    return notTested('Surge was not tested: no step of that power, and no capture of a motor start.')
  if (analysis.motors.attempts.some(({ seen }) => seen))
    return notShown(
      evidence,
      'time',
      `Starts were captured, none of them for ${sayDuration(hold)}.`,
      `A resistive step of ${sayClaim(claim)}, or a capture of that length, would show it.`,
    )
  return notShown(
    evidence,
    'meter',
    'Motors were started, but typed extremes are shorter than a meter’s update and give no watts over time.',
    'A capture of a start, or a resistive step of that power, would show it.',
  )
}
