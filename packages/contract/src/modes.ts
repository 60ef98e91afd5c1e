import type * as z from 'zod/mini'
import { Values } from './evidence'
import { seenBy } from './limits'
import { Charge } from './logs'
import { oneOf, whole } from './shared'
import { above0, choice, figure, from0, perhaps, readingOf, someText, testOf, yesOrNo } from './tests'

/** What a unit may be switched to; each draws something of its own. */
export const modeNames = ['on', 'search', 'pass-through', 'bypass', 'ports only', 'off'] as const
export const ModeName = oneOf('Mode', modeNames)
export type ModeName = z.infer<typeof ModeName>

const transferWays = ['grid to battery', 'battery to grid'] as const

export const testsOfModes = {
  /** What a mode draws: from watts, from what the store lost, or from what a refill took (docs/method/modes.md). */
  draw: testOf(
    'What it draws',
    {
      mode: choice('Mode', modeNames),
      /** Cycles of a search that the mean was taken over. */
      cycles: perhaps(figure('Mean of so many cycles', '', whole('Mean of so many cycles', 1, 100_000))),
      /** h that it stood, and the gauge before and afterwards, or the Wh that filled it again. */
      hours: perhaps(above0('It stood for', 'h', 10_000)),
      refilled: perhaps(above0('Filled again with', 'Wh', 1e6)),
      chargeBefore: perhaps(figure('Gauge before', '%', Charge, 0.01)),
      chargeAfter: perhaps(figure('Gauge afterwards', '%', Charge, 0.01)),
    },
    // Watts at B, or into the charge input.
    { apart: { values: Values } },
  ),
  /** One small load tried in search mode: does it wake? */
  wake: testOf('When it wakes', { watts: above0('Small load', 'W', 1e4), woke: yesOrNo('It woke') }),
  /** A changeover between the grid and the battery. */
  transfer: testOf('Transfer', {
    way: choice('Which way', transferWays),
    gap: perhaps(above0('Without its sine', 'ms', 60_000)),
    seen: choice('Timed by', seenBy),
    watts: perhaps(from0('Load', 'W', 1e6)),
    /** What other equipment did. */
    rodeThrough: perhaps(yesOrNo('What ran on it', 'rode through', 'restarted')),
    equipment: someText('It was', 200, 'computer'),
  }),
  /** The outlet while the grid feeds it. */
  'pass-through': testOf('Pass-through', {
    fedBy: perhaps(choice('Fed by', ['the grid', 'the sun', 'a DC source'])),
    gridVolts: perhaps(from0('Going in', 'V', 2000)),
    gridWatts: perhaps(from0('Going in', 'W', 1e6)),
    outletVolts: perhaps(from0('Outlet', 'V', 2000)),
    outletWatts: perhaps(from0('At the outlet', 'W', 1e6)),
    /** Equipment between the outlet and the load. */
    through: someText('Passed on through', 200, 'another station, a UPS'),
    lamps: perhaps(choice('Lamps there', ['steady', 'flicker'])),
  }),
}

export const ModeReading = readingOf('Test of a mode', testsOfModes)
export type ModeReading = z.infer<typeof ModeReading>
export type ModeTest = ModeReading['test']
export type ModeOf<T extends ModeTest> = Extract<ModeReading, { test: T }>
