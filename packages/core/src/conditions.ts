import { isDecided, type Asked, type Finding, type Promised, type Verdict } from './court'
import { roomOf } from './facts'
import { say } from './figures'
import { readAtVolts, sayRange, voltsOf } from './statedVolts'
import { isStation } from './units'

/**
 * What a label leaves out, and what it was while the figure that decided was read: input volts, and the room. A room that is
 * not usual is said whatever the label states.
 */
export function conditionsOf(
  verdict: Verdict,
  { leavesOut = [] }: Promised,
  { claim, analysis }: Asked,
): Pick<Finding, 'conditions'> {
  const { outcome, figure } = verdict
  if (!isDecided(outcome) || !figure) return {}
  const { record } = analysis
  const station = isStation(record.revision.unit)
  const room = roomOf(figure.working.entries, analysis)
  // A power station has its store inside, and no terminals.
  const absent = [
    !station && leavesOut.includes('input') && !claim.volts && 'input volts',
    leavesOut.includes('room') && claim.room === undefined && 'temperature',
  ].filter(Boolean)
  const kind = claim.quantity === 'idle draw' ? 'no load' : 'ladder'
  const behind = new Set(figure.working.entries)
  const all = readAtVolts.flatMap((one) => record.standing.get(one) ?? [])
  const own = all.filter(({ id }) => behind.has(id)).flatMap((entry) => voltsOf(entry, analysis) ?? [])
  const read = own.length
    ? own
    : [
        ...(record.standing.get(kind) ?? []),
        ...(record.standing.get('log') ?? []),
        ...(record.standing.get('limit') ?? []),
      ].flatMap((entry) => voltsOf(entry, analysis) ?? [])
  const at = [
    !station &&
      (read.length
        ? `${sayRange(Math.min(...read), Math.max(...read))} at the terminals`
        : 'input volts that were not read'),
    room && `${roomWords(room)} in the room`,
  ].filter(Boolean)
  if (!at.length || (station && !room)) return {}
  const was = at.join(', ')
  return {
    conditions: absent.length
      ? `The promise states no ${absent.join(' and no ')}; this was at ${was}.`
      : `It was read at ${was}.`,
  }
}

type Room = NonNullable<ReturnType<typeof roomOf>>

const roomWords = ({ coolest, warmest }: Room) =>
  [...new Set([coolest, warmest])].map((one) => say(one, '°C')).join(' to ')
