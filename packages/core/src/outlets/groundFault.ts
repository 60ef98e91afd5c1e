import type { EntryOf, OutletOf } from '@even-watt/contract'
import { say } from '../figures'
import type { Analysis } from '../trials'
import { outletTests } from './tests'

/** Class A of UL 943, mA: its rating and below; above it the steps of IEC 61008-1 hold. */
const classA = 6

/**
 * s within which a device must open at a leakage, mA: (20/I)^1.43 for those of 6 mA (UL 943), else 0.3 at its rating, 0.15 at
 * twice and 0.04 at five times (IEC 61008-1). Undefined below its rating, where it need not open.
 */
export function mustOpenIn(rating: number, leaked: number): number | undefined {
  if (leaked < rating) return undefined
  if (rating <= classA) return Math.max(0.025, (20 / leaked) ** 1.43)
  return leaked >= 5 * rating ? 0.04 : leaked >= 2 * rating ? 0.15 : 0.3
}

export interface GroundFault {
  readonly entry: EntryOf<'outlet'>
  readonly standing: 'passed' | 'failed' | 'only its button' | 'not known'
  readonly sentences: readonly string[]
}

/** Devices that open where a current leaks to earth: whether, how fast, and whether the reset restores (docs/method/outlets.md). */
export const groundFaults = ({ record }: Pick<Analysis, 'record'>): GroundFault[] =>
  outletTests(record, 'ground fault').map(({ entry, reading }) => {
    const floating = record.revision.unit.bonding === 'floating'
    const standing = standingOf(reading)
    return { entry, standing, sentences: told(reading, standing, floating) }
  })

function standingOf({ rating, how, opened, leaked, after, restored }: OutletOf<'ground fault'>) {
  const least = leaked === undefined ? undefined : mustOpenIn(rating, leaked)
  if (restored === false) return 'failed'
  if (how === 'its own test button') return opened ? 'only its button' : 'failed'
  if (!opened) return leaked === undefined || least !== undefined ? 'failed' : 'not known'
  if (after === undefined || leaked === undefined || least === undefined) return 'not known'
  return after / 1000 <= least ? 'passed' : 'failed'
}

function told(
  { device, rating, how, opened, leaked, after, restored }: OutletOf<'ground fault'>,
  standing: GroundFault['standing'],
  floating: boolean,
): string[] {
  const least = leaked === undefined ? undefined : mustOpenIn(rating, leaked)
  const when = after === undefined ? '' : ` after ${say(after, 'ms')}`
  const at = leaked === undefined ? '' : ` at ${say(leaked, 'mA')}`
  const tried = how === 'its own test button' ? 'by its button' : `from live to earth${at}`
  return [
    `${device}, ${say(rating, 'mA')}: tried ${tried}, it ${opened ? `opened${when}` : 'did not open'}.`,
    ...(least === undefined ? [] : [`It must open within ${say(1000 * least, 'ms')} there.`]),
    ...(opened && restored === undefined ? ['Whether its reset restores power was not noted.'] : []),
    ...(restored === undefined
      ? []
      : [restored ? 'Its reset restored power.' : 'Its reset did not restore power.']),
    {
      passed: 'It passes.',
      failed: 'It fails: nobody relies on it until a licensed electrician has seen it.',
      'only its button': 'The button shows its mechanism only; the leakage and the time need a tester.',
      'not known': 'Whether it is fast enough needs the leakage and the time.',
    }[standing],
    ...(floating && how !== 'its own test button'
      ? [
          'With the neutral floating a fault to earth draws next to nothing: this device may not protect here.',
        ]
      : []),
  ]
}
