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
  const would =
    stated === undefined
      ? 'Repeat it in a usual room, and record how warm it was.'
      : `Repeat it in a room of ${sayTemperature(stated, 1)}, and record that.`
  const meant = stated === undefined ? '' : `It is stated for a room of ${sayTemperature(stated, 1)}, and `
  const words = (why: string) => (): Said => ({ why: upper(`${meant}${why}.`), would })
  if (says === 'not recorded')
    return [hindrance('room not recorded', words('how warm the room was is not recorded'))]
  if (!room || says === 'as meant') return []
  const cold = says !== 'hot' && `the room had ${say(room.coolest, '°C')}`
  const hot = says !== 'cold' && `the room had ${say(room.warmest, '°C')}`
  if (matters === 'cold') return cold ? [hindrance('store cold', words(cold))] : []
  return [
    ...(cold ? [hindrance('room cold', words(cold))] : []),
    ...(hot ? [hindrance('room hot', words(hot))] : []),
  ]
}

const upper = (words: string) => `${words.charAt(0).toUpperCase()}${words.slice(1)}`
