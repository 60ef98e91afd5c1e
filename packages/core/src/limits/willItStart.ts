import type { Load } from '@even-watt/contract'
import { isFigure, plain, say, sayDuration } from '../figures'
import { nameOfWho, predictedInrush, type AttemptFigures, type Culprit } from '../motors'
import { underPower } from '../supply'
import type { Analysis } from '../trials'
import { claimedValue } from '../units'
import { surgeCurveOf, type SurgeCurve } from './surgeCurve'

export interface StartAnswer {
  readonly answer: 'yes' | 'no' | 'close' | 'not shown'
  readonly why: string
  /** The same on a stiff supply, where this one is what stops it. */
  readonly onStiff?: 'yes' | 'close' | 'not shown'
}

/** s for which a start asks, where no capture shows how long one takes. */
const usualSeconds = 1
/** Power factor while a motor stands, and efficiency of a unit at its limit, where neither is known. */
const locked = 0.65
const usualEfficiency = 0.85
/** A unit that folds still starts what asks for so much more than it gives, only later. */
const folding = 1.3

/** What a unit has shown on one rig, for asking what it would start. */
export interface StartGround {
  readonly analysis: Analysis
  readonly curve: SurgeCurve
}

export const startGround = (analysis: Analysis): StartGround => ({ analysis, curve: surgeCurveOf(analysis) })

type Tried = AttemptFigures & { readonly culprit: Culprit | undefined }

/**
 * Whether a unit on its rig starts a machine beside a base load, W (docs/method/motors.md): as it was tried there; else by what
 * the machine asks for against the VA that the unit was shown to carry for as long, and the volts its supply would keep. What
 * the unit was not shown to give is "not shown", never "no"; "no" needs a limit that was seen.
 */
export function willItStart(load: Load, { analysis, curve }: StartGround, base = 0): StartAnswer {
  const tried = analysis.motors.attempts.filter(({ entry }) => sameMachine(entry.reading.load, load.name))
  const shown = asTried(tried, base)
  if (shown) return shown
  const inrush = predictedInrush(load)
  if (!inrush) return { answer: 'not shown', why: 'It starts no harder than it runs: look at the ladder.' }
  const seconds = Math.max(...tried.map(({ seen }) => seen?.toRun ?? 0), 0) || usualSeconds
  const need = (VA: number) => Math.hypot(VA * locked + base, VA * Math.sqrt(1 - locked ** 2))
  const [low, high] = [need(inrush.from), need(inrush.to)]
  const asks = `It asks for ${range(low, high)} for about ${sayDuration(seconds)} (${inrush.by})`
  const points = curve.sources.flatMap((source) => source.over(seconds) ?? [])
  const most = Math.max(0, ...points.filter(({ hollow }) => !hollow).map(voltAmperes))
  const limit = Math.max(
    0,
    ...points.filter(({ source }) => source.endedBy === 'unit' && source.limited >= seconds).map(voltAmperes),
  )
  const byUnit = ((): StartAnswer => {
    if (most > 0 && high <= most)
      return { answer: 'yes', why: `${asks}; ${say(most, 'VA')} was carried for as long.` }
    if (limit > 0 && low > folding * limit)
      return { answer: 'no', why: `${asks}; the unit gave out at ${say(limit, 'VA')}.` }
    if (limit > 0)
      return {
        answer: 'close',
        why: `${asks}; the unit gave out at ${say(limit, 'VA')}: it may start late or not.`,
      }
    return {
      answer: 'not shown',
      why:
        most > 0
          ? `${asks}; only ${say(most, 'VA')} was tried for as long.`
          : `${asks}; nothing was carried for a measured time.`,
    }
  })()
  if (byUnit.answer === 'no') return byUnit
  const supply = bySupply(analysis, high * locked + base)
  return supply ? { answer: 'no', why: `${asks}. ${supply}`, onStiff: byUnit.answer } : byUnit
}

const voltAmperes = ({ VA, W }: { VA: number | undefined; W: { x: { value: number } } }) =>
  Math.max(VA ?? 0, W.x.value)

/** As precise as a prediction is. */
const about = (VA: number) => plain(Number(VA.toPrecision(2)))

const range = (low: number, high: number) =>
  high === Infinity
    ? `${about(low)} VA or more`
    : about(low) === about(high)
      ? `${about(high)} VA`
      : `${about(low)} to ${about(high)} VA`

const sameMachine = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase()

function asTried(tried: readonly Tried[], base: number): StartAnswer | undefined {
  const [ok] = tried.filter(
    ({ outcome, entry }) => outcome === 'started' && (entry.reading.baseLoad ?? 0) >= base,
  )
  const failed = tried.filter(
    ({ outcome, entry, culprit }) =>
      outcome !== 'started' &&
      outcome !== 'started late' &&
      (entry.reading.baseLoad ?? 0) <= base &&
      culprit?.who !== 'machine',
  )
  if (ok) return { answer: 'yes', why: `It started it (attempt ${ok.entry.reading.number}).` }
  const late = tried.find(
    ({ outcome, entry }) => outcome === 'started late' && (entry.reading.baseLoad ?? 0) >= base,
  )
  if (late) return { answer: 'close', why: `It started it late (attempt ${late.entry.reading.number}).` }
  const last = failed.at(-1)
  if (!last) return undefined
  const who = last.culprit?.who
  return {
    answer: who === 'unit' ? 'no' : who === 'supply' || who === 'protection' ? 'no' : 'not shown',
    why: `It did not start it (attempt ${last.entry.reading.number}): ${nameOfWho[who ?? 'cannot tell']}.`,
    ...(who === 'supply' || who === 'protection' ? { onStiff: 'not shown' as const } : {}),
  }
}

/** Why this supply would not carry such a start; undefined: it would, or it is not known. */
function bySupply({ supply, record }: Analysis, watts: number): string | undefined {
  const { E, R_bank, R_path } = supply.known
  const alarm = claimedValue(record.revision.unit, 'alarm voltage')
  if (
    !isFigure(E) ||
    !isFigure(R_bank) ||
    !isFigure(R_path) ||
    alarm === undefined ||
    !Number.isFinite(watts)
  )
    return undefined
  const source = { bank: { E: E.x.value, R: R_bank.x.value }, path: R_path.x.value, support: 0 }
  const point = underPower(source, watts / usualEfficiency)
  if (point && point.V_B > alarm) return undefined
  return point
    ? `The terminals would fall to ${say(point.V_B, 'V')}, under the alarm, ${say(alarm, 'V')}.`
    : 'This supply cannot deliver it at all.'
}
