import type { Claim } from '@even-watt/contract'
import { decides, say, sayFigure, type Figure } from '../figures'
import { judge, notShown, notTested, undecided, type Evidence, type Judge, type Verdict } from '../findings'
import { halfWidth, methodSource, rangeFor, rectangular, specificationSource } from '../meters'
import { scopeOf, type Analysis } from '../trials'
import { claimValue, sayClaim } from '../units'
import { sweepsOf, toleranceOf, type PortPoint, type PortSweep } from './sweep'

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

/** Amps within which a port left its volts at what is promised: loads come in steps. */
const aboutThere = 0.02

/** A at which a port gives what is promised of it; of a promise of volts, at whatever it is loaded with. */
const ampsPromised = ({ unit, portVolts }: Claim, wanted: number, { asked }: PortSweep): number =>
  unit === 'V' ? Infinity : unit === 'A' ? wanted : wanted / (portVolts ?? asked)

/** What a port did past the most that it carried: whether it let go by itself at no more than these amps. */
function letsGo(
  { leftAt, leadMayTake, reading: { cutoff } }: PortSweep,
  amps: number,
): 'yes' | 'no' | 'not known' {
  const under = (at: number | undefined) => at !== undefined && at <= amps * (1 + aboutThere)
  if (under(cutoff) && amps < Infinity) return 'yes'
  return under(leftAt) ? (leadMayTake ? 'not known' : 'yes') : 'no'
}

/** A port: censored like any power; folding back under the promise decides it, a cable that caps it does not. */
export const judgePort: Judge = (evidence: Evidence) => {
  const { claim, analysis } = evidence
  const sweeps = sweepsOf(analysis.record).filter((sweep) => isOf(claim, sweep))
  const what = `${claim.port ?? 'The port'}`
  if (!sweeps.length) return notTested(`${what} was not loaded.`)
  const unit = claim.unit === 'A' || claim.unit === 'V' ? claim.unit : 'W'
  const wanted = claimValue(claim)
  const [best] = sweeps
    .flatMap((sweep) =>
      sweep.carried ? [{ sweep, figure: figureOf(sweep, sweep.carried, unit, analysis) }] : [],
    )
    .sort(
      (a, b) => Number(decides(b.figure)) - Number(decides(a.figure)) || b.figure.x.value - a.figure.x.value,
    )
  if (!best) return nothingCarried(evidence, sweeps, unit, what)
  const { sweep, figure } = best
  if (!decides(figure)) return undecided(figure)
  if (unit === 'V')
    return {
      outcome: judge(
        { ...figure.x, value: figure.x.value - wanted },
        'within ±',
        wanted * toleranceOf(wanted),
      ),
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
  const { cable, cutoff } = sweep.reading
  const letGo = letsGo(sweep, ampsPromised(claim, wanted, sweep))
  const end = sweep.foldsAt ?? cutoff
  if (cable !== undefined && end !== undefined && cable <= end * 1.05)
    return notShown(
      evidence,
      'meter',
      `Partly shown: the cable carries only ${say(cable, 'A')}. ${sweep.sentence}`,
      'A cable that is made for more would show it.',
      figure,
    )
  if (letGo === 'yes')
    return { outcome, figure, sentence: `${sweep.sentence} Promised is ${sayClaim(claim)}.` }
  if (letGo === 'not known') return leadNotKnown(evidence, sweep, figure)
  if (sweep.cableLimits)
    return notShown(
      evidence,
      'meter',
      `Partly shown. ${sweep.sentence}`,
      'A shorter or thicker cable would show it.',
      figure,
    )
  return notTried(evidence, sweep, figure)
}

/** What is promised was not tried: the loads ended first, or went past it in one step. */
function notTried(
  evidence: Evidence,
  { sentence, carried, leftAt, reading }: PortSweep,
  figure: Figure,
): Verdict {
  const wouldShow = `A load of ${sayClaim(evidence.claim)} would show it.`
  if (leftAt === undefined && reading.cutoff === undefined)
    return notShown(
      evidence,
      'load',
      `It was loaded with ${sayFigure(figure)} at most. ${sentence}`,
      wouldShow,
      figure,
    )
  const most = carried ? ` It carried ${sayFigure(figure)}.` : ''
  return {
    outcome: 'not tested',
    figure,
    sentence: `It was not loaded closely enough.${most} ${sentence} ${wouldShow}`,
  }
}

/** No reading at all was within tolerance. */
function nothingCarried(
  evidence: Evidence,
  sweeps: readonly PortSweep[],
  unit: 'A' | 'W' | 'V',
  what: string,
): Verdict {
  const read = sweeps.flatMap((sweep) => {
    const [point] = sweep.points
    return point ? [{ sweep, figure: figureOf(sweep, point, unit, evidence.analysis) }] : []
  })
  const counting = read.filter(({ figure }) => decides(figure))
  const wanted = claimValue(evidence.claim)
  const went = counting.map((one) => ({
    ...one,
    letGo: letsGo(one.sweep, ampsPromised(evidence.claim, wanted, one.sweep)),
  }))
  const itself = went.find(({ letGo }) => letGo === 'yes')
  if (itself)
    return { outcome: 'not met', sentence: `${what} left its volts at once. ${itself.sweep.sentence}` }
  const unknown = went.find(({ letGo }) => letGo === 'not known')
  if (unknown) return leadNotKnown(evidence, unknown.sweep, unknown.figure)
  if (went[0]) return notTried(evidence, went[0].sweep, went[0].figure)
  return read[0] ? undecided(read[0].figure) : notTested(`${what} was not loaded.`)
}

const leadNotKnown = (evidence: Evidence, sweep: PortSweep, figure: Figure): Verdict =>
  notShown(
    evidence,
    'meter',
    sweep.sentence,
    'Note the resistance of the lead, or 0 where it was read at the port itself.',
    figure,
  )
