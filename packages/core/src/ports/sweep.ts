import type { EntryOf, PortOf, PortTest } from '@even-watt/contract'
import { conductorResistance, flexibleStranding, gaugeOf } from '../conductors'
import { plain, say, shortened } from '../figures'
import { readingsOf, type RevisionRecord } from '../trials'

/** A test of ports of one kind, with its entry. */
export interface PortEntry<T extends PortTest> {
  readonly entry: EntryOf<'port'>
  readonly reading: PortOf<T>
}

export const portTests = <T extends PortTest>(record: RevisionRecord, test: T): PortEntry<T>[] =>
  readingsOf(record, 'port').flatMap((entry) =>
    entry.reading.test === test ? [{ entry, reading: entry.reading as PortOf<T> }] : [],
  )

/** Volts that a port may be off by, each side, as a share; a socket of 12 V and more may fall lower. */
const tolerance = 0.05
const tolerance12 = 0.1
export const toleranceOf = (volts: number): number => (volts >= 11 ? tolerance12 : tolerance)

export interface PortPoint {
  readonly amps: number
  /** As read, at the end of the lead; and at the port, its drop added again. */
  readonly volts: number
  readonly atPort: number
  readonly watts: number
}

export interface PortSweep {
  readonly entry: EntryOf<'port'>
  readonly reading: PortOf<'load'>
  readonly points: readonly PortPoint[]
  /** V that it is asked for: its own, or what it gave at least load. */
  readonly asked: number
  /** A past which its volts leave their tolerance, or fall while amps no longer rise; absent: it held to the last. */
  readonly foldsAt: number | undefined
  /** A at which that was first seen. */
  readonly leftAt: number | undefined
  /** Whether a lead of which nothing is known may be what took its volts out of their tolerance. */
  readonly leadMayTake: boolean
  /** The most that it gave within tolerance. */
  readonly carried: PortPoint | undefined
  /** V of the lead at the fold-back, or at the most amps; undefined: the lead is not known. */
  readonly leadDrop: number | undefined
  /** Whether the lead alone takes it out of its tolerance: the cable, not the port (oddity 37). */
  readonly cableLimits: boolean
  /** What was found, as the beginning of a sentence; and as one. */
  readonly found: string
  readonly sentence: string
}

/** Amps that no longer rise: less than this share over the point before. */
const noLongerRises = 0.01

/** Ω that a lead of which nothing is known may have; volts that fall more steeply are let go by the port. */
const thinLead = 0.5

/** Ω of the lead both ways: as noted, else of copper by its size and length; undefined: nothing is known of it. */
function leadOf({ lead, leadSize, leadLength: length }: PortOf<'load'>): number | undefined {
  if (lead !== undefined || leadSize === undefined || length === undefined) return lead
  const gauge = gaugeOf(leadSize)
  return gauge
    ? 2 *
        conductorResistance({
          gauge,
          length,
          runs: 1,
          material: 'copper',
          strandingFactor: flexibleStranding,
        })
    : undefined
}

/** What a port does under rising load (docs/method/ports.md). Points are taken by rising amps, in whatever order they came. */
export function sweepOf({ entry, reading }: PortEntry<'load'>): PortSweep {
  const lead = leadOf(reading)
  const points = reading.points
    .map(({ amps, volts }) => ({
      amps,
      volts,
      atPort: volts + amps * (lead ?? 0),
      watts: (volts + amps * (lead ?? 0)) * amps,
    }))
    .sort((a, b) => a.amps - b.amps || b.volts - a.volts)
  const asked = reading.volts ?? points[0]?.volts ?? 0
  const least = asked * (1 - toleranceOf(asked))
  const fold = foldBack(points, ({ atPort }) => atPort, least)
  const atEnd = foldBack(points, ({ volts }) => volts, least)
  const foldsAt = fold?.at
  const leadMayTake =
    lead === undefined && fold !== undefined && !fold.stuck && slopeInto(points, fold.left, asked) <= thinLead
  const carried = points
    .filter(({ amps, atPort }) => atPort >= least && (foldsAt === undefined || amps <= foldsAt))
    .at(-1)
  const most = carried ?? points.at(-1)
  const leadDrop = lead === undefined || !most ? undefined : most.amps * lead
  const cableLimits = lead !== undefined && foldsAt === undefined && atEnd !== undefined
  const found = foundOf(reading, { foldsAt, leadMayTake, carried, leadDrop, cableLimits, asked })
  return {
    entry,
    reading,
    points,
    asked,
    foldsAt,
    leftAt: fold && (points[fold.left]?.amps ?? 0),
    leadMayTake,
    carried,
    leadDrop,
    cableLimits,
    found,
    sentence: `${found}.`,
  }
}

/** Ω by which volts fall from the point before, or from what was asked for, to a point. */
function slopeInto(points: readonly PortPoint[], index: number, asked: number): number {
  const [before, here] = [points[index - 1] ?? { amps: 0, volts: asked }, points[index]]
  return here ? (before.volts - here.volts) / (here.amps - before.amps) : NaN
}

interface Fold {
  /** The last amps before it, the point at which it was seen, and whether amps no longer rose there. */
  readonly at: number
  readonly left: number
  readonly stuck: boolean
}

/** Where volts leave their tolerance, or fall while amps no longer rise. */
function foldBack(
  points: readonly PortPoint[],
  volts: (point: PortPoint) => number,
  least: number,
): Fold | undefined {
  for (const [i, point] of points.entries()) {
    const before = points[i - 1]
    const stuck =
      before !== undefined &&
      point.amps <= before.amps * (1 + noLongerRises) &&
      volts(point) < volts(before) * (1 - toleranceOf(volts(before)))
    if (volts(point) < least || stuck) return { at: before?.amps ?? 0, left: i, stuck }
  }
  return undefined
}

function foundOf(
  { port, cutoff, returned, charge, beside }: PortOf<'load'>,
  {
    foldsAt,
    leadMayTake,
    carried,
    leadDrop,
    cableLimits,
    asked,
  }: Pick<PortSweep, 'foldsAt' | 'leadMayTake' | 'carried' | 'leadDrop' | 'cableLimits' | 'asked'>,
): string {
  const at = charge === undefined ? '' : ` at ${say(100 * charge, '%', 2)} charge`
  const with_ = beside ? ` beside ${beside}` : ''
  const volts = asked ? `${plain(shortened(asked, 3))} V` : ''
  const most = carried
    ? `${say(carried.amps, 'A', 2)} at ${say(carried.atPort, 'V')} (${say(carried.watts, 'W')})`
    : 'nothing'
  const where = `${at}${with_}`
  const held = carried ? `holds ${volts} to ${most}${where}; past that` : `was loaded${where}:`
  const folds = leadMayTake
    ? `${port} ${held} its volts are too low where they were read, and what the lead takes is not known`
    : foldsAt === undefined
      ? `${port} holds ${volts} to ${most}${where}`
      : `${port} folds back at ${say(foldsAt, 'A', 2)}${where}`
  const cable =
    leadDrop === undefined || leadDrop < 0.01
      ? ''
      : cableLimits
        ? `; at the end of the cable its volts are too low, and the cable takes all of that: ${say(leadDrop, 'V', 1)}`
        : `; the cable takes ${say(leadDrop, 'V', 1)} of it`
  const cut = cutoff === undefined ? '' : `. It cuts off at ${say(cutoff, 'A', 2)}`
  const back =
    returned && returned !== 'not tried' ? `${cut ? ' and comes back' : '. It comes back'} ${returned}` : ''
  return `${folds}${cable}${cut}${back}`
}

/** All sweeps of one revision, in order of time. */
export const sweepsOf = (record: RevisionRecord): PortSweep[] => portTests(record, 'load').map(sweepOf)
