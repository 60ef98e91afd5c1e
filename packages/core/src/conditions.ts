import type { Claim, ClaimQuantity } from '@even-watt/contract'
import { say, sayTemperature } from './figures'
import type { Verdict } from './findings'
import { readAtVolts, sayRange, sayVolts, voltsOf } from './statedVolts'
import type { Analysis } from './trials'
import { isStation } from './units'

/** A room is as warm as stated within so many K. */
const roomBy = 2

/** Promises that depend on input volts and on how warm it is. */
const dependent: readonly ClaimQuantity[] = [
  'continuous power',
  'surge power',
  'efficiency',
  'idle draw',
  'regulation',
]

/**
 * A verdict beside the conditions that its claim is stated for: met in a cooler room than stated, or in one that nobody
 * measured, is not shown, and neither is missed in a warmer one; what the label leaves out is said, with what the readings
 * were taken at.
 */
export function underItsConditions(
  verdict: Verdict,
  claim: Claim,
  all: Analysis,
  counted: Analysis,
): Verdict {
  const voltsSaid = claim.volts ? sayVolts(claim.volts, all, counted) : ''
  const room = roomsOf(verdict, counted)
  const sentence = [verdict.sentence, voltsSaid].filter(Boolean).join(' ')
  const was = claim.room === undefined ? undefined : anotherRoom(verdict, claim.room, room)
  if (claim.room !== undefined && was !== undefined) {
    const wouldShow = `Repeat it in a room of ${sayTemperature(claim.room, 1)}, and record that.`
    return {
      ...verdict,
      outcome: 'not shown',
      wouldShow,
      sentence: `Not shown: it is stated for a room of ${sayTemperature(claim.room, 1)}, and ${was}. ${sentence} ${wouldShow}`,
    }
  }
  return { ...verdict, sentence, ...unstated(verdict, claim, counted, room) }
}

/** What the room was, where it was easier than stated for what was met, or harder for what was missed. */
function anotherRoom({ outcome }: Verdict, stated: number, room: readonly number[]): string | undefined {
  // The coolest of what shows it, the warmest of what breaks it: one reading elsewhere says nothing of the others.
  const [coolest, warmest] = [Math.min(...room), Math.max(...room)]
  if (outcome.startsWith('met')) {
    if (!room.length) return 'how warm the room was is not recorded'
    if (coolest < stated - roomBy) return `the room had ${say(coolest, '°C')}`
  }
  if (outcome.startsWith('not met') && warmest > stated + roomBy) return `the room had ${say(warmest, '°C')}`
  return undefined
}

function unstated(
  { outcome }: Verdict,
  claim: Claim,
  counted: Analysis,
  room: readonly number[],
): Pick<Verdict, 'conditions'> {
  if (!dependent.includes(claim.quantity) || (outcome.startsWith('not ') && !outcome.startsWith('not met')))
    return {}
  const kind = claim.quantity === 'idle draw' ? 'no load' : 'ladder'
  const read = (counted.record.standing.get(kind) ?? []).flatMap((entry) => voltsOf(entry, counted) ?? [])
  // A power station has its store inside, and no terminals.
  const station = isStation(counted.record.revision.unit)
  const absent = [
    !station && !claim.volts && 'input volts',
    claim.room === undefined && 'temperature',
  ].filter(Boolean)
  if (!absent.length || (station && !room.length)) return {}
  const at = [
    !station &&
      (read.length
        ? `${sayRange(Math.min(...read), Math.max(...read))} at the terminals`
        : 'input volts that were not read'),
    room.length &&
      `${[...new Set([Math.min(...room), Math.max(...room)])].map((one) => say(one, '°C')).join(' to ')} in the room`,
  ]
  return {
    conditions: `The promise states no ${absent.join(' and no ')}; this was at ${at.filter(Boolean).join(', ')}.`,
  }
}

/** °C of the room in each reading and in each log behind a verdict. */
function roomsOf({ figure }: Verdict, { record, logs }: Analysis): number[] {
  const behind = new Set(figure?.working.entries)
  const inReadings = readAtVolts
    .flatMap((kind) => record.standing.get(kind) ?? [])
    .flatMap((entry) =>
      (entry.kind === 'ladder' || entry.kind === 'no load') && behind.has(entry.id)
        ? (entry.reading.temperatures ?? []).filter(({ place }) => place === 'room')
        : [],
    )
    .map(({ celsius }) => celsius)
  const inLogs = logs
    .filter(({ entry, series }) =>
      [entry.id, ...series.flatMap(({ entries }) => entries)].some((id) => behind.has(id)),
    )
    .flatMap(({ series }) => series.filter(({ quantity }) => quantity === 'T_room'))
    .flatMap(({ points }) => points.map(({ value }) => value))
  return [...inReadings, ...inLogs]
}
