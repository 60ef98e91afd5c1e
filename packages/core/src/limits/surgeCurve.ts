import type { Course, EntryOf, Quantity, Revision } from '@even-watt/contract'
import { whoEnded, type Ended } from '../blame'
import { farAmong, readFigures, nominalAt, nominalNear } from '../evidence'
import { carriedAt } from '../facts'
import { decides, isFigure, type Figure } from '../figures'
import { capturedValue, wrongFactor, type AttemptFigures } from '../motors'
import { readingsOf, scopeOf, type Analysis } from '../trials'
import { surgeWindows } from '../waveform/limits'
import { isSlow, scale } from '../meters'
import { remembering } from '../remember'
import { overloadsOf, type Overload } from './overload'
import { holdsOf } from './holds'
import { anyStep, momentOf, partOf, partsOf, type StepPart } from './attempt'

/** Here nobody asks what was on. */
const unsaid = () => ''

/** Something that was carried for a time: a capture, a step, an overload. */
export interface SurgeSource {
  readonly words: string
  readonly entry: string
  /** s that it lasted. */
  readonly seconds: number
  /** Who ended it or held it back; undefined: the load wanted no more. */
  readonly endedBy: Ended | undefined
  /** s for which the unit was at its limit; Infinity where it gave up for good. Beyond that the load wanted no more. */
  readonly limited: number
  /** Its amps stood at an extreme of the instrument: they were more than it shows. */
  readonly clipped: boolean
  /** The best mean over a window, s; undefined: it is shorter than that. */
  readonly over: (seconds: number) => SurgePoint | undefined
  /** What it gave up at before a window, s, was over; undefined: it did not, or its time was not noted. */
  readonly gaveUpIn?: (seconds: number) => SurgePoint | undefined
}

export interface SurgePoint {
  readonly seconds: number
  readonly W: Figure
  /** VA of the same stretch; undefined where they are not known. */
  readonly VA: number | undefined
  /** Whether the output stood under 90 % of nominal somewhere in it: then it did not carry this. */
  readonly hollow: boolean
  /** How many times as much the same amps are at nominal volts: V_nominal/V where it sagged, else 1. */
  readonly more: number
  readonly source: Named
}

/** VA of a point where they are known, and never under its watts. */
export const voltAmperes = ({ VA, W }: SurgePoint): number => Math.max(VA ?? 0, W.x.value)

/** The most that a unit carries which gave out at a point: its amps count, at nominal volts. */
export const mostOf = (point: SurgePoint): Figure => ({
  ...point.W,
  x: scale(point.W.x, (voltAmperes(point) / point.W.x.value) * point.more),
})

type Named = Pick<SurgeSource, 'words' | 'entry' | 'endedBy' | 'limited' | 'clipped'>

export interface SurgeCurve {
  readonly sources: readonly SurgeSource[]
  /** The best of all sources over each window: what was carried with its volts, and what was given while they sagged. */
  readonly points: readonly SurgePoint[]
  readonly sagged: readonly SurgePoint[]
}

/** The surge-duration curve of one rig: the highest mean watts over each window, of everything that was carried on it. */
export function surgeCurveOf(analysis: Analysis): SurgeCurve {
  const captured = fromCaptures(analysis)
  // What was captured of an attempt tells more of it than what was typed.
  const known = new Set(captured.map(({ entry }) => entry))
  const sources = [
    ...captured,
    ...[...fromSteps(analysis), ...fromLogs(analysis)].filter(({ entry }) => !known.has(entry)),
  ]
  const cycle = 1 / analysis.record.revision.unit.outputFrequency
  const all = [cycle, ...surgeWindows].map((seconds) =>
    sources.flatMap((source) => source.over(seconds) ?? []),
  )
  const best = (hollow: boolean) => all.flatMap((points) => bestOf(points, hollow) ?? [])
  return { sources, points: best(false), sagged: best(true) }
}

/** The highest of some points that carried, or of those that sagged. */
export const bestOf = (points: readonly SurgePoint[], hollow: boolean): SurgePoint | undefined =>
  points
    .filter((point) => point.hollow === hollow && decides(point.W))
    .reduce<SurgePoint | undefined>(
      (most, one) => (!most || one.W.x.value > most.W.x.value ? one : most),
      undefined,
    )

function fromCaptures(analysis: Analysis): SurgeSource[] {
  const { record, motors, ladder } = analysis
  const attempts = new Map(motors.attempts.map((attempt) => [attempt.entry.id, attempt]))
  const overloads = new Map(overloadsOf(analysis).map((one) => [one.entry.id, one]))
  const steps = new Map(
    ladder.steps.flatMap((step) => step.step.readings.map((reading) => [reading.id, step] as const)),
  )
  return readingsOf(record, 'capture').flatMap((capture): SurgeSource[] => {
    const { about, reference, picture, figures } = capture.reading
    const { course } = figures
    if (!course?.P || !course.windows.length || reference || picture || about === undefined) return []
    if (wrongFactor(course, nominalNear(record.revision.unit, course.V_C?.[0]))) return []
    const attempt = attempts.get(about)
    const overload = overloads.get(about)
    const step = steps.get(about)
    if (step && farAmong(capture, step.step.readings, record).length) return []
    const words = attempt
      ? `${attempt.entry.reading.load}, attempt ${attempt.entry.reading.number}`
      : (overload?.reading.load ?? step?.load ?? capture.reading.name)
    const endedBy = attempt ? attempt.ended : overload && endedIn(overload, analysis)
    const limited = limitedFor(endedBy, attempt)
    const clipped = figures.channels.some((one) => one.quantity === 'I_C' && one.clipped)
    return [fromCourse(course, { words, entry: about, endedBy, limited, clipped }, capture, analysis)]
  })
}

/** A unit that only folded for a while, and then ran the machine, was at its limit for that while. */
const limitedFor = (endedBy: Ended | undefined, attempt?: AttemptFigures): number =>
  !endedBy
    ? 0
    : attempt?.outcome === 'started' || attempt?.outcome === 'started late'
      ? (attempt.seen?.under[90] ?? 0)
      : Infinity

/** Who ended an overload, with what was read of it. */
const endedIn = (overload: Overload, analysis: Analysis): Ended | undefined =>
  overload.went.became === 'tripped'
    ? whoEnded(momentOf(overload.step, overload.went, undefined, unsaid), analysis)
    : undefined

function fromCourse(
  course: Course,
  source: Named,
  capture: EntryOf<'capture'>,
  analysis: Analysis,
): SurgeSource {
  const { record, ladder } = analysis
  const where = `${capture.id}|${scopeOf(record)}`
  const figure = (watts: number) =>
    readFigures(
      [{ entry: capture.id, values: [capturedValue('P_C', watts, capture)] }],
      ladder.context,
      ladder.context.spreads,
      where,
    ).P_C
  const seconds = capture.reading.figures.seconds
  const nominal = nominalNear(record.revision.unit, course.V_C?.[0])
  return {
    ...source,
    seconds,
    over: (window) => {
      if (window > seconds) return undefined
      const best = stretchOf(course, window)
      const W = best && figure(best.watts)
      if (!best || !W || !isFigure(W)) return undefined
      const hollow = best.lowest < carriedAt * nominal
      const more = hollow && best.lowest > 0 ? nominal / Math.max(best.lowest, best.mean) : 1
      return { seconds: window, W, VA: best.VA, hollow, more, source }
    },
  }
}

/** Points of a course within a window with the highest mean watts: its watts, VA, and lowest volts. */
function stretchOf(
  { P = [], V_C = [], I_C = [], step, cycle, windows: exact }: Course,
  window: number,
): { watts: number; VA: number; lowest: number; mean: number } | undefined {
  // A point stands for one cycle: so many of them lie within the window.
  const width = Math.max(1, Math.round((window - cycle) / step) + 1)
  if (width > P.length) return undefined
  const mean = (at: number, values: (k: number) => number) => {
    let sum = 0
    for (let k = at; k < at + width; k++) sum += values(k)
    return sum / width
  }
  let best = { watts: -Infinity, at: 0 }
  for (let at = 0; at + width <= P.length; at++) {
    const watts = mean(at, (k) => P[k] as number)
    if (watts > best.watts) best = { watts, at }
  }
  // From the samples themselves where this window was summed over them.
  const known = exact.find(({ seconds }) => Math.abs(seconds / window - 1) < 0.05)
  return {
    watts: known?.W ?? best.watts,
    VA: mean(best.at, (k) => (V_C[k] ?? 0) * (I_C[k] ?? 0)),
    lowest: known?.lowest ?? Math.min(...V_C.slice(best.at, best.at + width)),
    mean: mean(best.at, (k) => V_C[k] ?? 0),
  }
}

/** Of what was carried and not ended by anybody, which nothing but its readings and meters changes. */
const sameCarried = remembering<StepPart, readonly SurgeSource[]>()

function fromSteps(analysis: Analysis): SurgeSource[] {
  const { record, ladder } = analysis
  const { revision } = record
  const parts = [
    ...ladder.steps.flatMap((step) => partsOf(step, analysis)),
    ...overloadsOf(analysis).map(({ step }) => partOf(step, step.step.readings)),
  ]
  return parts.flatMap((part) =>
    part.went.became === 'tripped'
      ? fromPart(part, revision, whoEnded(momentOf(part.figures, part.went, undefined, unsaid), analysis))
      : sameCarried(part, [revision], () => fromPart(part, revision, undefined)),
  )
}

function fromPart(
  { figures, readings, went }: StepPart,
  { meters, unit }: Revision,
  endedBy: Ended | undefined,
): SurgeSource[] {
  const { P_C, read } = figures
  const noted = Math.max(0, ...readings.map(({ reading }) => reading.held ?? 0))
  const held = noted || (went.became === 'carried' ? anyStep : 0)
  const [first] = readings
  if (!isFigure(P_C) || !(held > 0) || !first) return []
  const slow =
    noted > 0 &&
    readings
      .flatMap(({ reading }) => reading.values.filter(({ quantity }) => ofPower.has(quantity)))
      .some((value) =>
        isSlow(
          meters.find(({ id }) => id === value.meter),
          held,
        ),
      )
  // What carried for a while before it ended was not at its limit in that while.
  const source: Named = { words: figures.load, entry: first.id, endedBy, limited: 0, clipped: false }
  const hollow = isFigure(read.V_C) && read.V_C.x.value < carriedAt * nominalAt(unit, read.V_C)
  const VA = isFigure(figures.S) ? figures.S.x.value : undefined
  const point = (seconds: number): SurgePoint => ({ seconds, W: P_C, VA, hollow, more: 1, source })
  return [
    {
      ...source,
      seconds: held,
      over: (window) => (window > held || slow ? undefined : point(window)),
      gaveUpIn: (window) => (endedBy && window > held && !slow ? point(window) : undefined),
    },
  ]
}

/** Logs that held a load: the least that stood over each window. */
function fromLogs(analysis: Analysis): SurgeSource[] {
  const { unit } = analysis.record.revision
  const held = (seconds: number) => holdsOf(analysis, seconds)
  return held(anyStep).flatMap(({ step, log, held: seconds, became, alarm }, i): SurgeSource[] => {
    if (!isFigure(step.P_C)) return []
    const went = { became, alarm, held: seconds }
    const endedBy =
      became === 'tripped' ? whoEnded(momentOf(step, went, undefined, unsaid), analysis) : undefined
    const source: Named = { words: step.load, entry: log.entry.id, endedBy, limited: 0, clipped: false }
    const point = (window: number): SurgePoint | undefined => {
      const over = held(window)[i]?.step
      if (!over || !isFigure(over.P_C)) return undefined
      const { V_C } = over.read
      return {
        seconds: window,
        W: over.P_C,
        VA: isFigure(over.S) ? over.S.x.value : undefined,
        hollow: isFigure(V_C) && V_C.x.value < carriedAt * nominalAt(unit, V_C),
        more: 1,
        source,
      }
    }
    return [
      {
        ...source,
        seconds,
        over: (window) => (window > seconds ? undefined : point(window)),
        gaveUpIn: (window) => (endedBy && window > seconds ? point(window) : undefined),
      },
    ]
  })
}

const ofPower: ReadonlySet<Quantity> = new Set(['P_C', 'I_C'] as const)
