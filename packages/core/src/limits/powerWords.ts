import { hindrance, type Hindrance } from '../court'
import { sayDuration, sayFigure } from '../figures'
import type { Attempt } from './attempt'

const forHow = ({ held }: Attempt) => (held === undefined ? '' : ` for ${sayDuration(held)}`)

/** What rests on a time that a tester noted is said to. */
export const carried = (attempt: Attempt): string =>
  `${sayFigure(attempt.power)} was carried${forHow(attempt)}${attempt.noted && (attempt.held ?? 0) >= 60 ? ', as noted' : ''}`

export function gaveUp({ power, ended, held, became }: Attempt, hold: number): string {
  const verb = became === 'warned' ? 'it warned' : 'it gave up'
  const cause = ended?.code === 'heat alarm' ? ', by heat' : ended?.who === 'unit' ? ', by overload' : ''
  const time =
    held === undefined ? '' : ` after ${sayDuration(held)}${held < hold ? ` of ${sayDuration(hold)}` : ''}`
  return `${verb} at ${sayFigure(power)}${cause}${time}`
}

const from = {
  promise: 'from nominal, outside the regulation it claims',
  nominal: 'from nominal',
  own: 'under what it gives with nothing connected',
} as const

/** It reached what is promised, or the same amps at its own volts are the most that it carries. */
export function sagged({ power, sag, most }: Attempt, reached: boolean): string {
  if (!sag) return sayFigure(power)
  const more = reached || most === power ? '' : `; the same amps at its own volts are ${sayFigure(most)}`
  return `it gives ${sayFigure(power)}, but there its output is ${sayFigure(sag.off)} ${from[sag.against]}${more}`
}

export const tooShort = (hold: number, held: number): Hindrance =>
  hindrance('time too short', () => ({
    why: `${sayDuration(hold)} is needed, and it was on for ${sayDuration(held)}.`,
    would: `Hold it for ${sayDuration(hold)} to decide.`,
  }))

export const warned = ({ ended }: Attempt, hold: number): Hindrance =>
  hindrance('warned', () => ({
    why: `That was with the ${ended?.code === 'heat alarm' ? 'heat' : 'overload'} alarm on.`,
    would: `Hold it for ${sayDuration(hold)} without the alarm to decide.`,
  }))

export const timeNotNoted = (hold: number): Hindrance =>
  hindrance('time not noted', () => ({
    why: '',
    would: `Hold it for ${sayDuration(hold)} and note the time.`,
  }))

export const notWatched = (hold: number): Hindrance =>
  hindrance('not watched', () => ({
    why: 'Between its looks it may have been less.',
    would: `Look at it at least every ${sayDuration(Math.max(1, Math.round(hold / 5)))}, or log it.`,
  }))
