import type { Load } from '@even-watt/contract'
import { sayThreshold } from '../blame'
import { isMet, isNotMet, type Evidence } from '../court'
import { thresholdOf } from '../facts'
import { decides, isFigure, plain, say, sayDuration, shortened, type Figure } from '../figures'
import { scale } from '../meters'
import { predictedInrush } from '../motors'
import { underPower } from '../supply'
import type { Analysis } from '../trials'
import { claimedValue } from '../units'
import { asTried, attemptsAt } from './asTried'
import { endedByOthers } from './power'
import { asStart, type StartAnswer } from './startPromise'
import {
  mostOf,
  surgeCurveOf,
  voltAmperes,
  type SurgeCurve,
  type SurgePoint,
  type SurgeSource,
} from './surgeCurve'

/** s for which a start asks, where no capture shows how long one takes. */
const usualSeconds = 1
/** Power factor while a motor stands, and efficiency of a unit at its limit, where neither is known. */
const locked = 0.65
const usualEfficiency = 0.85
/** A unit that folds still starts what asks for so much more than it gives, only later; so much less may still be late. */
const folding = 1.3

/** What a unit has shown on one rig, for asking what it would start. */
export interface StartGround {
  readonly analysis: Analysis
  readonly curve: SurgeCurve
}

export const startGround = (analysis: Analysis): StartGround => ({ analysis, curve: surgeCurveOf(analysis) })

/**
 * Whether a unit on its rig starts a machine beside a base load, W (docs/method/motors.md): as it was tried there; else by what
 * the machine asks for, held against what was carried and what gave out as the court holds any promise, and the volts its supply
 * would keep. What the unit was not shown to give is "not shown", never "no"; "no" needs a limit that was seen.
 */
export function willItStart(load: Load, { analysis, curve }: StartGround, base = 0): StartAnswer {
  const tried = attemptsAt(load, analysis)
  const shown = asTried(tried, { base, assist: load.assist ?? 1, analysis })
  if (shown) return shown
  const inrush = predictedInrush(load)
  if (!inrush) return { answer: 'not shown', why: 'It starts no harder than it runs: look at the ladder.' }
  const seconds = Math.max(...tried.map(({ seen }) => seen?.toRun ?? 0), 0) || usualSeconds
  const need = (VA: number) => Math.hypot(VA * locked + base, VA * Math.sqrt(1 - locked ** 2))
  const [low, high] = [need(inrush.from), need(inrush.to)]
  const asks = `It asks for ${range(low, high)} for about ${sayDuration(seconds)} (${inrush.by})`
  const evidence = curve.sources.flatMap((source) => startEvidence(source, seconds))
  const ask = (VA: number) => asStart(evidence, { value: VA, unit: 'VA', analysis })
  const whole = high === Infinity ? undefined : ask(high)
  const byUnit = ((): StartAnswer => {
    const most = whole?.figure?.x.value ?? 0
    if (whole && isMet(whole.outcome))
      return {
        answer: 'yes',
        why: `${asks}; ${say(most, 'VA')} was carried for as long${spare(most, high)}.`,
      }
    const least = ask(low / folding)
    if (isNotMet(least.outcome))
      return {
        answer: 'no',
        why: `${asks}; the unit gives no more than ${say(least.figure?.x.value ?? 0, 'VA')}: ${say(low - (least.figure?.x.value ?? 0), 'VA', 2)} too little.`,
      }
    const near = ask((high === Infinity ? low : high) * folding)
    if (isNotMet(near.outcome))
      return {
        answer: 'close',
        why: `${asks}; the unit gives no more than ${say(near.figure?.x.value ?? 0, 'VA')}: it may start late or not.`,
      }
    if (whole?.figure?.refused)
      return {
        answer: 'not shown',
        why: `${asks}. What was carried does not count: ${whole.figure.refused.why}`,
      }
    // What it gave out at shows nothing of less.
    const held = evidence.filter(({ bound, figure }) => bound === 'at least' && decides(figure))
    const carried = Math.max(0, ...held.map(({ figure }) => figure.x.value))
    return {
      answer: 'not shown',
      why:
        carried > 0
          ? `${asks}; only ${say(carried, 'VA')} was tried for as long.${byLabel(high, analysis)}`
          : `${asks}; nothing was carried with its volts for as long.${byLabel(high, analysis)}`,
    }
  })()
  if (byUnit.answer === 'no') return byUnit
  const supply = bySupply(analysis, high * locked + base)
  return supply ? { answer: 'no', why: `${asks}. ${supply}`, onStiff: byUnit.answer } : byUnit
}

/** What carried for so long carries a start; what gave up before, or was at its limit all the while, shows the most. */
function startEvidence(source: SurgeSource, seconds: number): Evidence[] {
  const carried = source.over(seconds)
  const limited = source.endedBy !== undefined && source.limited >= seconds
  const most = limited ? carried : source.gaveUpIn?.(seconds)
  const found = () => source.words
  return [
    ...(carried && !carried.hollow
      ? [
          {
            code: 'carried',
            figure: inVoltAmperes(carried),
            bound: 'at least' as const,
            hindrances: [],
            found,
          },
        ]
      : []),
    ...(most
      ? [
          {
            code: 'gave out',
            figure: { ...mostOf(most), unit: 'VA' as const },
            bound: 'at most' as const,
            hindrances: endedByOthers(source.endedBy),
            found,
          },
        ]
      : []),
  ]
}

const inVoltAmperes = (point: SurgePoint): Figure => ({
  ...point.W,
  unit: 'VA',
  x: scale(point.W.x, voltAmperes(point) / point.W.x.value),
})

/** ": 23 % to spare". */
const spare = (carried: number, asked: number): string =>
  Number.isFinite(asked) && asked > 0 && carried > asked
    ? `: ${say(100 * (carried / asked - 1), '%', 2)} to spare`
    : ''

/** By its label, where no test tells: what is promised for a moment against what is asked. */
function byLabel(asked: number, { record }: Analysis): string {
  const promised = claimedValue(record.revision.unit, 'surge power')
  if (promised === undefined || !Number.isFinite(asked)) return ''
  const apart = 100 * (promised / asked - 1)
  return ` Its label promises ${say(promised, 'W')}: ${say(Math.abs(apart), '%', 2)} ${apart < 0 ? 'too little' : 'to spare'}, by its label only.`
}

/** As precise as a prediction is. */
const about = (VA: number) => plain(shortened(VA, 2))

const range = (low: number, high: number) =>
  high === Infinity
    ? `${about(low)} VA or more`
    : about(low) === about(high)
      ? `${about(high)} VA`
      : `${about(low)} to ${about(high)} VA`

/** Why this supply would not carry such a start; undefined: it would, or it is not known. */
function bySupply({ supply, record }: Analysis, watts: number): string | undefined {
  const { E, R_bank, R_path } = supply.known
  const threshold = thresholdOf(record)
  if (!isFigure(E) || !isFigure(R_bank) || !isFigure(R_path) || !threshold || !Number.isFinite(watts))
    return undefined
  const source = { bank: { E: E.x.value, R: R_bank.x.value }, path: R_path.x.value, support: 0 }
  const point = underPower(source, watts / usualEfficiency)
  if (point && point.V_B > threshold.volts) return undefined
  return point
    ? `The terminals would fall to ${say(point.V_B, 'V')}, under ${sayThreshold(threshold)}.`
    : 'This supply cannot deliver it at all.'
}
