import type { EntryOf, OutletOf } from '@even-watt/contract'
import { formatGauge, gaugeOf } from '../conductors'
import { say } from '../figures'
import type { Analysis } from '../trials'
import { mainsAmpacity, mainsSizeFor } from './mainsSizes'
import { outletTests } from './tests'

/** Within an hour a thermal breaker holds the first and has opened at the second, times its rating (IEC 60898-1). */
const holds = 1.13
const opens = 1.45
const anHour = 3600
/** Of its rating, for hours; a usual rule where breakers are not made for more. */
const forHours = 0.8

export interface BreakerFigures {
  readonly entry: EntryOf<'outlet'>
  /** Amps through it over its rating. */
  readonly share: number
  readonly standing: 'as it should' | 'may be' | 'too early' | 'too late'
  /** What is behind it carries less than it lets through. */
  readonly thin: boolean
  readonly sentences: readonly string[]
}

/** Breakers of the mains side: the load against the rating, and the rating against the copper (docs/method/outlets.md). */
export const breakersOf = ({ record }: Pick<Analysis, 'record'>): BreakerFigures[] =>
  outletTests(record, 'breaker').map(({ entry, reading }) => {
    const share = reading.amps / reading.rating
    const gauge = gaugeOf(reading.size)
    const carries = gauge && mainsAmpacity(gauge)
    const thin = carries !== undefined && reading.rating > carries
    const standing = standingOf(reading, share)
    return { entry, share, standing, thin, sentences: told(reading, share, standing) }
  })

function standingOf({ tripped, lasted }: OutletOf<'breaker'>, share: number): BreakerFigures['standing'] {
  if (tripped) return share < holds ? 'too early' : share < opens ? 'may be' : 'as it should'
  return share < holds ? 'as it should' : share >= opens && (lasted ?? 0) >= anHour ? 'too late' : 'may be'
}

const words: Record<BreakerFigures['standing'], (tripped: boolean) => string> = {
  'as it should': (tripped) => (tripped ? 'It opened as it should.' : 'It carries that for good.'),
  'may be': (tripped) =>
    tripped ? 'Within an hour it may open there, and need not.' : 'It may still open there within an hour.',
  'too early': () => 'A sound one carries that: suspect heat beside it, a loose screw, or a start’s peak.',
  'too late': () => 'A sound one has opened by then: have it replaced.',
}

function told(
  { breaker, rating, amps, tripped, lasted, leg, size, before }: OutletOf<'breaker'>,
  share: number,
  standing: BreakerFigures['standing'],
): string[] {
  const gauge = gaugeOf(size)
  const carries = gauge && mainsAmpacity(gauge)
  const sizeFor = gauge && mainsSizeFor(rating, gauge.unit)
  const after =
    lasted === undefined ? '' : tripped ? ` after ${say(lasted, 's')}` : ` for ${say(lasted, 's')}`
  return [
    `${breaker}${leg ? ` (${leg})` : ''}: ${say(amps, 'A')} is ${say(100 * share, '%')} of its ${say(rating, 'A')}. It ${tripped ? 'tripped' : 'carried it'}${after}.`,
    words[standing](tripped),
    ...(!tripped && share > forHours && share < holds
      ? [`For hours many codes allow ${say(forHours * rating, 'A', 2)} on it.`]
      : []),
    ...(before === undefined
      ? []
      : [
          `It replaces one of ${say(before, 'A')}: ${before < rating ? 'the copper behind it must carry the larger one' : 'it opens earlier now'}.`,
        ]),
    ...(gauge && carries !== undefined
      ? [
          rating > carries
            ? `${formatGauge(gauge)} behind it carries ${say(carries, 'A', 2)}: it burns before this opens. ${sizeFor ? `Use ${formatGauge(sizeFor)}, or a smaller one.` : 'Use a smaller one.'}`
            : `${formatGauge(gauge)} behind it carries ${say(carries, 'A', 2)}: it is protected.`,
        ]
      : [
          before !== undefined && before < rating
            ? 'Type the size of the copper behind it: that decides what it may be.'
            : '',
        ].filter(Boolean)),
    ...(tripped ? ['This breaker ended it, not the unit: it says nothing of the unit’s own limit.'] : []),
  ]
}
