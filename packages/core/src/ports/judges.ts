import type { Claim } from '@even-watt/contract'
import { decides, sayFigure, type Figure } from '../figures'
import { notShown, notTested, undecided, type Evidence, type Judge, judge } from '../findings'
import { halfWidth, methodSource, rangeFor, rectangular, specificationSource } from '../meters'
import { scopeOf, type Analysis } from '../trials'
import { claimValue, sayClaim } from '../units'
import { sweepsOf, type PortPoint, type PortSweep } from './sweep'

const named = (port: string) => port.toLowerCase().replace(/[^a-z0-9]/g, '')

/** Whether a sweep is of the port, and at the volts, that a promise is of. */
const isOf = ({ port, portVolts }: Claim, { reading, asked }: PortSweep): boolean =>
  (port === undefined || named(port) === named(reading.port)) &&
  (portVolts === undefined || Math.abs(asked / portVolts - 1) < 0.12)

/** What a port carried within tolerance, as a figure: amps, watts or volts as it is promised. */
function figureOf(
  { entry, reading }: PortSweep,
  point: PortPoint,
  unit: 'A' | 'W' | 'V',
  { record }: Analysis,
): Figure {
  const { revision } = record
  const meter =
    revision.meters.find(({ id }) => id === reading.meter) ??
    revision.meters.find(({ id }) =>
      revision.rig.assignments.some((one) => one.quantity === 'I_port' && one.meter === id),
    )
  const amps = meter && rangeFor(meter.ranges, 'DC current', point.amps)
  const volts = meter && rangeFor(meter.ranges, 'DC voltage', point.atPort)
  const sources = new Map<string, number>()
  const value = unit === 'A' ? point.amps : unit === 'W' ? point.watts : point.atPort
  if (meter && amps && unit !== 'V')
    sources.set(
      specificationSource(meter.id, amps.id),
      rectangular(halfWidth(amps, point.amps)) * (unit === 'W' ? point.atPort : 1),
    )
  if (meter && volts && unit !== 'A')
    sources.set(
      specificationSource(meter.id, volts.id),
      rectangular(halfWidth(volts, point.atPort)) * (unit === 'W' ? point.amps : 1),
    )
  // The step of the load is as fine as it was raised.
  sources.set(methodSource('step of the load', `${entry.id}|${scopeOf(record)}`), rectangular(0.005 * value))
  return {
    symbol: unit === 'A' ? 'I_port' : unit === 'W' ? 'P_port' : 'V_port',
    unit,
    x: { value, sources },
    grade: 'measured',
    ...(meter
      ? {}
      : { refused: { why: 'no meter is named.', todo: 'Say which meter the port was read on.' } }),
    working: {
      formula: unit === 'W' ? '(V + I·R_lead)·I' : unit === 'A' ? 'I within tolerance' : 'V + I·R_lead',
      inputs: [],
      notes: [],
      entries: [entry.id],
    },
  }
}

/** A port: censored like any power; folding back under the promise decides it, a cable that caps it does not. */
export const judgePort: Judge = (evidence: Evidence) => {
  const { claim, analysis } = evidence
  const sweeps = sweepsOf(analysis.record).filter((sweep) => isOf(claim, sweep))
  const what = `${claim.port ?? 'The port'}`
  if (!sweeps.length) return notTested(`${what} was not loaded.`)
  const unit = claim.unit === 'A' || claim.unit === 'V' ? claim.unit : 'W'
  const wanted = claimValue(claim)
  const tried = sweeps
    .flatMap((sweep) =>
      sweep.carried ? [{ sweep, figure: figureOf(sweep, sweep.carried, unit, analysis) }] : [],
    )
    .sort((a, b) => b.figure.x.value - a.figure.x.value)
  const [best] = tried
  if (!best)
    return {
      outcome: 'not met',
      sentence: `${what} left its volts at once. ${sweeps[0]?.sentence ?? ''}`.trim(),
    }
  const { sweep, figure } = best
  if (!decides(figure)) return undecided(figure)
  if (unit === 'V')
    return {
      outcome: judge({ ...figure.x, value: figure.x.value - wanted }, 'within ±', wanted * 0.05),
      figure,
      sentence: sweep.sentence,
    }
  const outcome = judge(figure.x, 'at least', wanted)
  if (figure.x.value >= wanted)
    return {
      outcome,
      figure,
      sentence: `${sayFigure(figure)} within tolerance against ${sayClaim(claim)}. ${sweep.sentence}`,
    }
  if (sweep.foldsAt !== undefined || sweep.reading.cutoff !== undefined) {
    const capped =
      sweep.reading.cable !== undefined &&
      sweep.reading.cable <= (sweep.foldsAt ?? sweep.reading.cutoff ?? 0) * 1.05
    if (capped)
      return notShown(
        evidence,
        'meter',
        `Partly shown: the cable carries only ${sweep.reading.cable} A. ${sweep.sentence}`,
        'A cable that is made for more would show it.',
        figure,
      )
    return { outcome, figure, sentence: `${sweep.sentence} Promised is ${sayClaim(claim)}.` }
  }
  if (sweep.cableLimits)
    return notShown(
      evidence,
      'meter',
      `Partly shown. ${sweep.sentence}`,
      'A shorter or thicker cable would show it.',
      figure,
    )
  return notShown(
    evidence,
    'load',
    `It was loaded with ${sayFigure(figure)} at most. ${sweep.sentence}`,
    `A load of ${sayClaim(claim)} would show it.`,
    figure,
  )
}
