import type { Claim } from '@even-watt/contract'
import { hindrance, type Asked, type Evidence, type Hindrance, type Promised } from '../court'
import { decides, say, sayFigure, type Figure } from '../figures'
import { carriedFor, seriesFor, type Log } from '../logs'
import { claimValue, sayClaim } from '../units'
import { portFigure, type PortUnit } from './figure'
import { sweepOf, sweepsOf, toleranceOf, type PortPoint, type PortSweep } from './sweep'

const named = (port: string) => port.toLowerCase().replace(/[^a-z0-9]/g, '')

/** Whether a sweep is of the port, and at the volts, that a promise is of. */
export const isOf = (
  { port, portVolts }: Claim,
  { reading, asked }: Pick<PortSweep, 'reading' | 'asked'>,
): boolean =>
  (port === undefined || named(port) === named(reading.port)) &&
  (portVolts === undefined || Math.abs(asked / portVolts - 1) < 0.12)

const unitOf = ({ unit }: Claim): PortUnit => (unit === 'A' || unit === 'V' ? unit : 'W')

/** s that a port is soaked for (docs/method/ports.md). */
const soaked = 1800

/**
 * A port: censored like any power. What it carried within tolerance is a bound from below, what it let go of one from above; a
 * cable, a lead of unknown resistance, other ports and a low store break no promise. A promise of volts is judged at every load
 * up to what the port promises.
 */
export const port: Promised = {
  units: ['A', 'W', 'V'],
  usual: { unit: 'W', comparator: 'at least' },
  asks: ['port'],
  at: 'ports',
  several: 'attempts',
  room: 'stated',
  voltsOf: 'steady',
  comparator: ({ claim }) => (claim.unit === 'V' ? 'within ±' : claim.comparator),
  wanted: ({ claim }) =>
    claim.unit === 'V' ? claimValue(claim) * toleranceOf(claimValue(claim)) : claimValue(claim),
  evidence: (asked) => {
    const { claim, analysis } = asked
    const sweeps = [...sweepsOf(analysis.record), ...analysis.logs.flatMap(soakOf)].filter((sweep) =>
      isOf(claim, sweep),
    )
    return sweeps.flatMap((sweep) =>
      claim.unit === 'V' ? voltsEvidence(sweep, asked) : carryEvidence(sweep, asked),
    )
  },
  absent: ({ claim }) => `${claim.port ?? 'The port'} was not loaded.`,
}

/** A soak as a sweep of the one load that it was held at: the least amps and volts that stood for half an hour. */
function soakOf(log: Log): PortSweep[] {
  const { reading } = log.entry
  const [amps, volts] = [seriesFor(log, 'I_port'), seriesFor(log, 'V_port')]
  if (reading.what !== 'soak' || reading.port === undefined || !amps || !volts) return []
  const stood = carriedFor(amps.points, soaked)
  if (!stood?.watched) return []
  const least = Math.min(
    ...volts.points.filter(({ at }) => at >= stood.from && at <= stood.to).map(({ value }) => value),
  )
  const entry = {
    ...log.entry,
    kind: 'port' as const,
    reading: {
      test: 'load' as const,
      port: reading.port,
      points: [{ amps: stood.least, volts: least }],
      ...(amps.meters[0] === undefined ? {} : { meter: amps.meters[0] as typeof log.entry.id }),
    },
  }
  return Number.isFinite(least) ? [sweepOf({ entry, reading: entry.reading })] : []
}

/** Share of its store under which a port may let go for want of it. */
const lowStore = 0.1

/** What stood in the way of any loading of a port. */
function hindrancesOf({ reading }: PortSweep): Hindrance[] {
  const { beside, charge } = reading
  return [
    ...(beside
      ? [
          hindrance('other ports loaded', () => ({
            why: `${beside} was loaded beside it.`,
            would: 'Load it alone.',
          })),
        ]
      : []),
    ...(charge !== undefined && charge < lowStore
      ? [
          hindrance('store low', () => ({
            why: `Its store was down to ${say(100 * charge, '%', 2)}.`,
            would: 'Load it with a store that is at least half full.',
          })),
        ]
      : []),
  ]
}

function carryEvidence(sweep: PortSweep, asked: Asked): Evidence[] {
  const { claim, analysis } = asked
  const unit = unitOf(claim)
  const figureAt = (point: PortPoint) => portFigure(sweep, point, unit, analysis)
  const against = hindrancesOf(sweep)
  const found = () => sweep.found
  const carried = mostCarried(sweep, figureAt).map((most): Evidence => ({
    code: 'carried',
    figure: most,
    bound: 'at least',
    hindrances: [],
    open: notTried(sweep, most, asked),
    found,
  }))
  const letGo = (amps: number, hindrances: readonly Hindrance[]): Evidence => {
    const figure = figureAt(pointAt(amps, sweep))
    return {
      code: 'let go',
      figure,
      bound: 'at most',
      hindrances: [...against, ...hindrances],
      open: notTried(sweep, figure, asked),
      found,
    }
  }
  const { leftAt, reading } = sweep
  const { cutoff } = reading
  return [
    ...carried,
    ...(leftAt === undefined ? [] : [letGo(leftAt, pathHindrances(sweep))]),
    // Cutting off needs no volts.
    ...(cutoff === undefined ? [] : [letGo(cutoff, cableHindrance(sweep))]),
  ]
}

/** The most that it gave within tolerance, and the most of it that may decide. */
function mostCarried(sweep: PortSweep, figureAt: (point: PortPoint) => Figure): Figure[] {
  const { points, carried, asked } = sweep
  if (!carried) return []
  const least = asked * (1 - toleranceOf(asked))
  const figures = points.filter(({ amps, atPort }) => amps <= carried.amps && atPort >= least).map(figureAt)
  const [most, fit] = [figures.at(-1), figures.findLast(decides)]
  return [...(fit && fit !== most ? [fit] : []), ...(most ? [most] : [])]
}

/** What it would have given at some amps with the volts that are asked of it: more it did not. */
function pointAt(amps: number, { points, asked }: PortSweep): PortPoint {
  const read = points.find((point) => point.amps === amps)
  const volts = asked || (read?.atPort ?? 0)
  return { amps, volts: read?.volts ?? volts, atPort: volts, watts: volts * amps }
}

/** What lies between the port and the meter, and may have taken the volts. */
function cableHindrance({ reading: { cable, cutoff }, foldsAt }: PortSweep): Hindrance[] {
  const end = foldsAt ?? cutoff
  return cable !== undefined && end !== undefined && cable <= end * 1.05
    ? [
        hindrance('cable for less', () => ({
          why: `Its cable carries only ${say(cable, 'A')}.`,
          would: 'A cable that is made for more would show it.',
        })),
      ]
    : []
}

function pathHindrances(sweep: PortSweep): Hindrance[] {
  const { leadMayTake, cableLimits } = sweep
  return [
    ...cableHindrance(sweep),
    ...(leadMayTake
      ? [
          hindrance('lead not known', () => ({
            why: '',
            would: 'Note the resistance of the lead, or 0 where it was read at the port itself.',
          })),
        ]
      : []),
    ...(cableLimits
      ? [
          hindrance('the lead takes it', () => ({
            why: '',
            would: 'A shorter or thicker cable would show it.',
          })),
        ]
      : []),
  ]
}

function notTried(sweep: PortSweep, figure: Figure, { claim }: Asked): Hindrance {
  const { cable } = sweep.reading
  const wanted = claim.unit === 'A' ? claimValue(claim) : claimValue(claim) / (claim.portVolts ?? sweep.asked)
  if (cable !== undefined && cable < wanted)
    return hindrance('cable for less', () => ({
      why: `Partly shown: its cable carries only ${say(cable, 'A')}.`,
      would: 'A cable that is made for more would show it.',
    }))
  if (sweep.cableLimits)
    return hindrance('the lead takes it', () => ({
      why: 'Partly shown.',
      would: 'A shorter or thicker cable would show it.',
    }))
  const would = `A load of ${sayClaim(claim)} would show it.`
  return sweep.leftAt !== undefined || sweep.reading.cutoff !== undefined
    ? hindrance('not tried closely', () => ({ why: 'It was not loaded closely enough.', would }))
    : hindrance('wants no more', () => ({ why: `It was loaded with ${sayFigure(figure)} at most.`, would }))
}

/** Volts at each load up to what the port promises, as they stand off what is promised. */
function voltsEvidence(sweep: PortSweep, asked: Asked): Evidence[] {
  const { claim, analysis } = asked
  const wanted = claimValue(claim)
  const most = promisedAmps(asked, sweep)
  const counted = sweep.points.filter(({ amps }) => amps <= most * 1.02)
  return counted.map((point): Evidence => {
    const volts = portFigure(sweep, point, 'V', analysis)
    const figure = { ...volts, symbol: 'V_port − promised', x: { ...volts.x, value: volts.x.value - wanted } }
    return {
      code: 'volts',
      figure,
      bound: 'exact',
      hindrances: [...hindrancesOf(sweep), ...pathHindrances(sweep)],
      found: () => `${sweep.reading.port} gives ${sayFigure(volts)} at ${say(point.amps, 'A', 2)}`,
      beside: () => [sweep.sentence],
    }
  })
}

/** A that the same port is promised to give, by another promise of it; Infinity: none says. */
function promisedAmps({ analysis, claim }: Asked, { asked }: PortSweep): number {
  const others = analysis.record.revision.unit.claims.filter(
    (one) =>
      one.quantity === 'port' &&
      one.unit !== 'V' &&
      named(one.port ?? '') === named(claim.port ?? '') &&
      (one.portVolts === undefined || Math.abs(one.portVolts / (asked || 1) - 1) < 0.12),
  )
  const amps = others.map((one) =>
    one.unit === 'A' ? claimValue(one) : claimValue(one) / (one.portVolts ?? asked),
  )
  return amps.length ? Math.max(...amps) : Infinity
}
