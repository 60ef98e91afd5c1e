import type { Entry } from '@even-watt/contract'
import { oncePer } from '../oncePer'
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
const roomless: ReadonlySet<string> = new Set([
  'limit',
  'outlet',
  'motors',
  'noise',
  'port',
  'mode',
  'charging',
])
/** s within which a room that was read beside something is the room of it. */
const beside = 3600

const roomsIn = oncePer((entry: Entry): readonly number[] =>
  entry.kind === 'ladder' || entry.kind === 'no load' || entry.kind === 'check-in'
    ? (entry.reading.temperatures ?? []).flatMap(({ place, celsius }) => (place === 'room' ? [celsius] : []))
    : [],
)

/** Where a room was read in a trial, found by entry. */
interface Rooms {
  readonly entries: ReadonlyMap<string, Entry>
  /** °C along the log that an entry belongs to. */
  readonly inLogs: ReadonlyMap<string, readonly number[]>
  readonly read: readonly { readonly at: number; readonly celsius: readonly number[] }[]
}

/** Gathered once a trial: every verdict asks for the room of its readings. */
const gathered = oncePer((analysis: Analysis): Rooms => {
  const all = [...analysis.record.standing.values()].flat()
  const inLogs = new Map<string, number[]>()
  for (const { entry, series } of analysis.logs) {
    const room = series.filter(({ quantity }) => quantity === 'T_room')
    const celsius = room.flatMap(({ points }) => points.map(({ value }) => value))
    for (const id of new Set([entry.id, ...series.flatMap((one) => one.entries)]))
      inLogs.set(id, [...(inLogs.get(id) ?? []), ...celsius])
  }
  const read = all.flatMap((entry) => {
    const celsius = roomsIn(entry)
    return celsius.length ? [{ at: Date.parse(entry.at), celsius }] : []
  })
  return { entries: new Map(all.map((entry) => [entry.id, entry])), inLogs, read }
})

/**
 * How warm the room was for what rests on some entries: as it was read in them or in the log that they belong to; of a test
 * that holds no room, as it was read within an hour of it. Undefined: nobody recorded it.
 */
export function roomOf(ids: readonly string[], analysis: Analysis): Room | undefined {
  const { entries, inLogs, read } = gathered(analysis)
  const behind = ids.flatMap((id) => entries.get(id) ?? [])
  const found = [...behind.flatMap(roomsIn), ...ids.flatMap((id) => inLogs.get(id) ?? [])]
  if (found.length) return spanOf(found)
  const times = behind.filter(({ kind }) => roomless.has(kind)).map(({ at }) => Date.parse(at))
  if (!times.length) return undefined
  const near = read.filter(({ at }) => times.some((time) => Math.abs(at - time) <= beside * 1000))
  return near.length ? spanOf(near.flatMap(({ celsius }) => celsius)) : undefined
}

const spanOf = (celsius: readonly number[]): Room => ({
  coolest: celsius.reduce((a, b) => Math.min(a, b)),
  warmest: celsius.reduce((a, b) => Math.max(a, b)),
})

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
