import { hindrance, type Asked, type Hindrance, type Said } from '../court'
import { say, sayDuration, sayFigure, type Figure } from '../figures'
import type { Analysis } from '../trials'
import { sayClaim } from '../units'
import type { SurgePoint } from './surgeCurve'

export const carried = ({ W, source }: SurgePoint, hold: number): string =>
  `${sayFigure(W)} was carried for ${sayDuration(hold)} at its best (${source.words})`

/** The most is what is held against the promise: it is said where it is more than its watts. */
export const gaveOut = ({ W, VA, hollow, source }: SurgePoint, hold: number, most: Figure): string => {
  const reactive = VA !== undefined && VA > 1.02 * W.x.value ? ` and ${say(VA, 'VA')}` : ''
  const own = most.x.value > 1.02 * W.x.value ? `: at its own volts ${sayFigure(most)} at most` : ''
  const sag = hollow ? `, with its volts under 90 %${own}` : ''
  const by = source.endedBy?.who === 'unit' ? ', and there the unit itself gave out' : ''
  return `over its best ${sayDuration(hold)} it gave ${sayFigure(W)}${reactive}${sag} (${source.words})${by}`
}

export const slow = (hold: number): Said => ({
  why: `Its meter is too slow for ${sayDuration(hold)}.`,
  would: 'A capture, or a meter that reads several times in that time, would show it.',
})

export const wantedNoMore = ({ claim }: Asked): Hindrance =>
  hindrance('wants no more', () => ({
    why: 'The load wanted no more.',
    would: `A harder start, or a step of ${sayClaim(claim)}, would show it.`,
  }))

export const tookMore = ({ W, VA }: SurgePoint, { claim }: Asked): Hindrance =>
  hindrance('beyond what is promised', () =>
    VA !== undefined && VA > 1.02 * W.x.value
      ? {
          why: 'The load took more current than watts.',
          would: `A resistive step of ${sayClaim(claim)} would show it.`,
        }
      : {
          why: 'It asked for more than is promised, and its volts did not stand it.',
          would: `A load of just ${sayClaim(claim)} would show whether they stand that.`,
        },
  )

export const nobodyTells = (): Hindrance =>
  hindrance('end not known', () => ({
    why: 'Its volts were under 90 %, and why is not known.',
    would: 'Capture the volts at the terminals with it.',
  }))

export const clipped = (): Hindrance =>
  hindrance('clipped', () => ({
    why: 'Its amps were clipped: it took more than the capture holds.',
    would: 'Capture it again with a larger range.',
  }))

export const onlyTyped =
  'Motors were started, but typed extremes are shorter than a meter’s update and give no watts over time: a capture of a start would show it.'

export function absent(attempts: Analysis['motors']['attempts']): string {
  if (!attempts.length) return 'Surge was not tested: no step of that power, and no capture of a motor start.'
  return attempts.some(({ seen }) => seen)
    ? 'Starts were captured, none of them for that long. A resistive step, or a capture of that length, would show it.'
    : onlyTyped
}

interface Row {
  readonly seconds: number
  readonly carried: SurgePoint | undefined
  readonly sagged: SurgePoint | undefined
}

/** A claim that states no time is said at every window that anything was carried over. */
export function windows(rows: readonly Row[], wanted: number, unstated: number): string[] {
  const last = rows.filter(({ carried }) => carried && carried.W.x.value >= wanted).at(-1)
  const each = rows
    .map(({ seconds, carried, sagged }) => {
      const more =
        sagged && sagged.W.x.value > (carried?.W.x.value ?? 0) ? say(sagged.W.x.value, 'W') : undefined
      const stood = carried ? say(carried.W.x.value, 'W') : 'nothing'
      return `${sayDuration(seconds)}: ${stood}${more ? ` (${more} with its volts under 90 %)` : ''}`
    })
    .join(', ')
  return [
    `No time is stated, so it is judged at ${sayDuration(unstated)}; the best of each time: ${each}.`,
    last
      ? `It is carried for up to ${sayDuration(last.seconds)} at what was tried.`
      : 'It was carried over none of them.',
  ]
}
