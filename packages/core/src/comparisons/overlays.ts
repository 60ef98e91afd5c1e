import { wattsOf, type SeenWave } from '../captures'
import { deliveredCurve, noisesOf, runDownsOf } from '../endurance'
import { say, sayDuration } from '../figures'
import { surgeCurveOf } from '../limits'
import type { Compared } from './compared'

interface OverlayLine {
  readonly name: string
  /** Its place in what is compared, so that it looks alike in every drawing. */
  readonly place: number
  readonly points: readonly { readonly x: number; readonly y: number; readonly said: string }[]
}

/** Something of several units drawn over each other. */
export interface Overlay {
  readonly kind: 'surge' | 'waves' | 'run-downs' | 'noise'
  readonly title: string
  readonly x: string
  readonly y: string
  /** Powers of ten between equal steps. */
  readonly logarithmic: boolean
  readonly lines: readonly OverlayLine[]
  /** What a reader must know of it, such as unlike loads. */
  readonly note: string | undefined
}

type Points = OverlayLine['points']

/**
 * Surge against time, one cycle of the wave, energy against load, and noise against load of all that is compared, each
 * where at least two were tried; a drawing of one alone stands in its own trial. See docs/method/comparisons.md.
 */
export const overlaysOf = (list: readonly Compared[]): Overlay[] =>
  [surge(list), waves(list), runDowns(list), noise(list)].filter(({ lines }) => lines.length > 1)

const linesOf = (list: readonly Compared[], points: (one: Compared) => Points): OverlayLine[] =>
  list.flatMap((one, place) => {
    const found = points(one)
    return found.length ? [{ name: one.name, place, points: found }] : []
  })

/** Only what was carried with its volts. */
const surge = (list: readonly Compared[]): Overlay => ({
  kind: 'surge',
  title: 'Carried against time',
  x: 'seconds',
  y: 'W, highest mean over that time',
  logarithmic: true,
  lines: linesOf(list, ({ analysis }) =>
    surgeCurveOf(analysis).points.map(({ seconds, W }) => ({
      x: seconds,
      y: W.x.value,
      said: `${say(W.x.value, 'W')} for ${sayDuration(seconds)}`,
    })),
  ),
  note: 'The most that anybody put on each: what was not tried is not on it.',
})

/** The heaviest carried load of which all have a wave, within this share of each other, is the same load. */
const sameLoad = 0.15

/** A cycle of each at the same load, as nearly as there is one; else without a load. */
function waves(list: readonly Compared[]): Overlay {
  const seen = list.map(({ analysis }) =>
    analysis.captures.seen.filter(
      ({ volts, carried, far, inTime, load }) =>
        volts.wave && carried && !far.length && !inTime && load !== undefined,
    ),
  )
  const having = seen.filter((waves) => waves.length)
  const common = heaviest(having)
  const chosen = seen.map((waves) => nearest(waves, common))
  return {
    kind: 'waves',
    title: common > 0 ? `One cycle at about ${say(common, 'W')}` : 'One cycle with nothing connected',
    x: 'per cent of a cycle',
    y: 'volts at the outlet',
    logarithmic: false,
    lines: list.flatMap((one, place) => {
      const wave = chosen[place]
      const cycle = wave?.volts.wave?.cycle ?? []
      return wave && cycle.length
        ? [
            {
              name: one.name,
              place,
              points: cycle.map((y, i) => ({
                x: (100 * i) / cycle.length,
                y,
                said: `${say(y, 'V')} at ${say(wattsOf(wave), 'W')}`,
              })),
            },
          ]
        : []
    }),
    note: undefined,
  }
}

/** W of the heaviest load at which all of them have a wave; 0: only without a load. */
function heaviest(seen: readonly (readonly SeenWave[])[]): number {
  const [first = [], ...others] = seen
  const common = first
    .map(wattsOf)
    .filter((W) =>
      others.every((waves) => waves.some((wave) => Math.abs(wattsOf(wave) - W) <= sameLoad * Math.max(W, 1))),
    )
  return Math.max(0, ...common)
}

function nearest(waves: readonly SeenWave[], watts: number): SeenWave | undefined {
  const off = (wave: SeenWave) => Math.abs(wattsOf(wave) - watts)
  const best = waves.reduce<SeenWave | undefined>(
    (found, wave) => (!found || off(wave) < off(found) ? wave : found),
    undefined,
  )
  return best && off(best) <= sameLoad * Math.max(watts, 1) ? best : undefined
}

const runDowns = (list: readonly Compared[]): Overlay => ({
  kind: 'run-downs',
  title: 'Given until empty, against load',
  x: 'load, W',
  y: 'energy at the outlet, Wh',
  logarithmic: false,
  lines: linesOf(list, ({ analysis }) =>
    deliveredCurve(runDownsOf(analysis)).map(({ watts, Wh, stopped }) => ({
      x: watts,
      y: Wh,
      said: `${say(Wh, 'Wh')} at ${say(watts, 'W')}${stopped ? ', ended early' : ''}`,
    })),
  ),
  note: 'It is the store that gives the energy: a larger bank is no better unit.',
})

const noise = (list: readonly Compared[]): Overlay => ({
  kind: 'noise',
  title: 'Noise against load',
  x: 'load, W',
  y: 'dB(A) at one metre',
  logarithmic: false,
  lines: linesOf(list, ({ analysis }) =>
    noisesOf(analysis)
      .flatMap(({ level, alone, entry: { reading } }) =>
        alone && reading.silent !== false && reading.watts !== undefined && reading.distance === 1
          ? [
              {
                x: reading.watts,
                y: level.x.value,
                said: `${say(level.x.value, 'dB(A)')} at ${say(reading.watts, 'W')}`,
              },
            ]
          : [],
      )
      .sort((a, b) => a.x - b.x),
  ),
  note: undefined,
})
