import { roomOf, roomSays } from '../facts'
import { say, sayTemperature } from '../figures'
import type { Asked } from './asked'
import type { Evidence, Said } from './evidence'
import { hindrance, type Hindrance } from './hindrances'
import type { Promised } from './promise'

/** What the room does to what an attempt shows: a cold one shows no promise against heat, a hot one breaks none. */
export function roomHindrance(
  { figure }: Pick<Evidence, 'figure'>,
  { room: matters }: Promised,
  { claim, analysis }: Asked,
): Hindrance[] {
  const stated = claim.room
  if (matters === 'stated' && stated === undefined) return []
  const room = roomOf(figure.working.entries, analysis)
  const says = roomSays(room, stated)
  if (says === 'not recorded')
    return [hindrance('room not recorded', () => said('how warm the room was is not recorded', stated))]
  if (!room || says === 'as meant') return []
  const cold = says !== 'hot' && (() => said(`the room had ${say(room.coolest, '°C')}`, stated))
  const hot = says !== 'cold' && (() => said(`the room had ${say(room.warmest, '°C')}`, stated))
  if (matters === 'cold') return cold ? [hindrance('store cold', cold)] : []
  return [...(cold ? [hindrance('room cold', cold)] : []), ...(hot ? [hindrance('room hot', hot)] : [])]
}

const said = (why: string, stated: number | undefined): Said =>
  stated === undefined
    ? { why: upper(`${why}.`), would: 'Repeat it in a usual room, and record how warm it was.' }
    : {
        why: `It is stated for a room of ${sayTemperature(stated, 1)}, and ${why}.`,
        would: `Repeat it in a room of ${sayTemperature(stated, 1)}, and record that.`,
      }

const upper = (words: string) => `${words.charAt(0).toUpperCase()}${words.slice(1)}`
