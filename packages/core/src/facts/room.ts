import type { Entry } from '@even-watt/contract'
import type { Analysis } from '../trials'

/** °C of the room while something was read. */
export interface Room {
  readonly coolest: number
  readonly warmest: number
}

/** A room as it is taken to be meant where a promise states none, °C. */
const usualRoom = { from: 5, to: 40 }
/** A room is as warm as stated within so many K. */
const roomBy = 2
/** Kinds of entry that hold no room of their own. */
const roomless: ReadonlySet<string> = new Set(['limit', 'motors', 'noise', 'port', 'mode', 'charging'])
/** s within which a room that was read beside something is the room of it. */
const beside = 3600

const roomsIn = (entry: Entry): number[] =>
  entry.kind === 'ladder' || entry.kind === 'no load' || entry.kind === 'check-in'
    ? (entry.reading.temperatures ?? []).flatMap(({ place, celsius }) => (place === 'room' ? [celsius] : []))
    : []

/**
 * How warm the room was for what rests on some entries: as it was read in them or in the log that they belong to; of a test
 * that holds no room, as it was read within an hour of it. Undefined: nobody recorded it.
 */
export function roomOf(entries: readonly string[], { record, logs }: Analysis): Room | undefined {
  const behind = new Set(entries)
  const all = [...record.standing.values()].flat()
  const own = all.filter(({ id }) => behind.has(id)).flatMap(roomsIn)
  const inLogs = logs
    .filter(({ entry, series }) =>
      [entry.id, ...series.flatMap((one) => one.entries)].some((id) => behind.has(id)),
    )
    .flatMap(({ series }) => series.filter(({ quantity }) => quantity === 'T_room'))
    .flatMap(({ points }) => points.map(({ value }) => value))
  const found = [...own, ...inLogs]
  if (found.length) return { coolest: Math.min(...found), warmest: Math.max(...found) }
  const times = all
    .filter(({ id, kind }) => behind.has(id) && roomless.has(kind))
    .map(({ at }) => Date.parse(at))
  const near = all
    .filter(({ at }) => times.some((time) => Math.abs(Date.parse(at) - time) <= beside * 1000))
    .flatMap(roomsIn)
  return near.length ? { coolest: Math.min(...near), warmest: Math.max(...near) } : undefined
}

/** What a room does to a promise: easier or harder than it was stated for; or not known, where it states one. */
export type RoomSays = 'as meant' | 'cold' | 'hot' | 'cold and hot' | 'not recorded'

/**
 * A room against the °C that a promise is stated up to. Where it states none a usual room is meant, and one that nobody
 * recorded is taken for that. The coolest of what shows it counts, and the warmest of what breaks it.
 */
export function roomSays(room: Room | undefined, stated: number | undefined): RoomSays {
  if (!room) return stated === undefined ? 'as meant' : 'not recorded'
  const cold = room.coolest < (stated === undefined ? usualRoom.from : stated - roomBy)
  const hot = room.warmest > (stated === undefined ? usualRoom.to : stated + roomBy)
  return cold && hot ? 'cold and hot' : cold ? 'cold' : hot ? 'hot' : 'as meant'
}
