import * as z from 'zod/mini'
import { number, words } from './shared'
import {
  above0,
  choice,
  figure,
  from0,
  lines,
  perhaps,
  readingOf,
  someText,
  someWords,
  testOf,
  yesOrNo,
} from './tests'

const size = someText('Size of a conductor', 20, '1.5 mm² or 16 AWG')
const length = above0('Long, one way', 'm', 500)
const leg = perhaps(choice('Leg', ['L1', 'L2']))

/** How a fault was made. */
const faultWays = ['its own test button', 'a tester from live to earth'] as const

/** Tests behind the outlets, on the mains side: what each cannot do without stands first (docs/method/outlets.md). */
export const testsOfOutlets = {
  /** Every outlet of the unit read in turn at one load. */
  'each outlet': testOf('Each outlet', {
    read: lines(
      'Outlet and its volts, one a line',
      'front left 229.8\nfront right 229.6',
      { outlet: '', volts: 'V' },
      z
        .array(z.object({ outlet: words('Outlet', 60), volts: number('Volts of an outlet', 0, 1000) }))
        .check(z.minLength(2, 'Outlets: two at least.'), z.maxLength(40, 'Outlets: 40 at most.')),
    ),
    watts: perhaps(from0('Load meanwhile', 'W', 1e6)),
  }),
  /** A cord between the outlet and the load, running and starting. */
  cord: testOf('Cord or lead', {
    cord: someWords('Which', 120, 'orange extension'),
    amps: above0('Running', 'A', 1000),
    size,
    length: perhaps(length),
    atOutlet: perhaps(above0('At the outlet', 'V', 1000)),
    atEnd: perhaps(from0('At its end', 'V', 1000)),
    carries: perhaps(above0('It carries', 'A', 1000)),
    load: someText('Load', 200, 'refrigerator'),
    startAmps: perhaps(above0('Starting', 'A', 10_000)),
    startAtOutlet: perhaps(from0('Lowest at the outlet', 'V', 1000)),
    startAtEnd: perhaps(from0('Lowest at its end', 'V', 1000)),
    started: perhaps(yesOrNo('The load started')),
  }),
  /** A breaker on the mains side, the amps through it, and the conductor behind it. */
  breaker: testOf('Breaker', {
    breaker: someWords('Which', 120, 'left duplex'),
    rating: above0('Its rating', 'A', 1000),
    amps: above0('Through it', 'A', 10_000),
    tripped: yesOrNo('It', 'tripped', 'carried it'),
    lasted: perhaps(above0('After, or carried for', 's', 1e6)),
    leg,
    size,
    before: perhaps(above0('It replaces one of', 'A', 1000)),
  }),
  /** What opens when a current leaks to earth. */
  'ground fault': testOf('Ground-fault device', {
    device: someWords('Which', 120, 'back outlet'),
    rating: figure('It opens at', 'mA', number('It opens at, mA', 1, 1000)),
    how: choice('The fault was made by', faultWays),
    opened: yesOrNo('It', 'opened', 'did not open'),
    leaked: perhaps(figure('Leaked', 'mA', number('Leaked, mA', 0.1, 10_000))),
    after: perhaps(above0('Opened after', 'ms', 60_000)),
    restored: perhaps(yesOrNo('Its reset restored power')),
  }),
  /** The same load on the grid: what it takes where nothing holds it back. */
  'on the mains': testOf('The same load on the mains', {
    load: someWords('Load', 200, 'table saw'),
    peakAmps: perhaps(above0('Starting', 'A', 10_000)),
    peakWatts: perhaps(above0('Most watts in its start', 'W', 1e6)),
    runningAmps: perhaps(above0('Running', 'A', 1000)),
    runningWatts: perhaps(above0('Running', 'W', 1e6)),
    volts: perhaps(above0('Mains', 'V', 1000)),
  }),
}

export const OutletReading = readingOf('Test of an outlet', testsOfOutlets)
export type OutletReading = z.infer<typeof OutletReading>
export type OutletTest = OutletReading['test']
export type OutletOf<T extends OutletTest> = Extract<OutletReading, { test: T }>
