import type * as z from 'zod/mini'
import { number } from './shared'
import {
  above0,
  choice,
  figure,
  from0,
  perhaps,
  readingOf,
  someText,
  someWords,
  testOf,
  tick,
  yesOrNo,
} from './tests'

/** What ended a loading: it may be neither the unit nor the load. */
const gaveUpBy = [
  'carried',
  'overload',
  'heat',
  'low input',
  'BMS',
  'fuse',
  'breaker',
  'loads ended',
  'stopped by hand',
  'not known',
] as const

const comebacks = ['by itself', 'by switching off and on', 'by its reset', 'not at all', 'not tried'] as const

/** Schools of overloading: raised until it gives up, a tier held for a time, a ramp. */
const overloadWays = ['raised', 'timed tier', 'ramp'] as const

const thresholds = ['alarm', 'cutoff', 'reconnect'] as const
export const seenBy = ['watch', 'capture', 'by eye'] as const
const flickers = ['not looked at', 'steady', 'flickers'] as const
const functionResults = ['passed', 'failed', 'not tried'] as const

/** Tests of where a unit gives up, and of what else it does: what each cannot do without stands first. */
export const testsOfLimits = {
  overload: testOf('Overload', {
    load: someWords('Load', 200, 'kettle + immersion rod'),
    /** When it ended. */
    watts: above0('At the outlet', 'W', 1e6),
    ended: choice('What ended it', gaveUpBy),
    /** At these watts until it ended. */
    lasted: perhaps(above0('Lasted', 's', 1e6)),
    /** Of a split phase: the leg that was loaded; absent: both. */
    leg: perhaps(choice('Leg', ['L1', 'L2'])),
    how: choice('How it was loaded', overloadWays),
    alarmAt: perhaps(above0('It warned at', 'W', 1e6)),
    volts: perhaps(from0('Volts at C', 'V', 2000)),
    inputVolts: perhaps(above0('Volts at B', 'V', 2000)),
    comeback: perhaps(choice('It came back', comebacks)),
    comebackAfter: perhaps(above0('Back after', 's', 1e6)),
    /** At the outlet with the same small load before and afterwards. */
    baseBefore: perhaps(above0('Base step before', 'V', 2000)),
    baseAfter: perhaps(above0('Base step afterwards', 'V', 2000)),
  }),
  threshold: testOf('Alarm, cutoff, reconnect', {
    which: choice('Which', thresholds),
    V_B: above0('Volts at B', 'V', 2000),
    /** At the outlet while the input was lowered. */
    watts: perhaps(from0('Load', 'W', 1e6)),
  }),
  'start-up': testOf('Start-up', {
    outcome: choice('Outcome', ['started', 'started after tries', 'did not start']),
    /** From the command to 90 % of its volts, and from 10 to 90 %. */
    startUp: perhaps(above0('Until 90 % of its volts', 's', 3600)),
    softStart: perhaps(above0('From 10 to 90 %', 's', 3600)),
    seen: choice('Timed by', seenBy),
    /** What was connected when it was switched on; absent: nothing. */
    load: someText('Load connected', 200, 'nothing'),
    watts: perhaps(from0('It takes', 'W', 1e6)),
  }),
  dynamic: testOf('When the load changes', {
    from: from0('From', 'W', 1e6),
    to: from0('To', 'W', 1e6),
    /** V RMS after the step. */
    lowest: perhaps(from0('Lowest after it', 'V', 2000)),
    highest: perhaps(from0('Highest after it', 'V', 2000)),
    back: perhaps(above0('Steady again after', 's', 3600)),
    /** % of them. */
    pulses: perhaps(
      figure('Swing with a load that pulsates', '%', number('Swing with a load that pulsates, %', 0, 100)),
    ),
    lamps: choice('Lamps', flickers),
    hunts: tick('It hunts at a steady load'),
    /** Output gone for over half a cycle. */
    blanks: tick('It blanks when a load is released'),
  }),
  'input sweep': testOf('Output against input volts', {
    load: someWords('Load', 200, 'drying plate low'),
    V_B: above0('Volts at B', 'V', 2000),
    V_C: from0('Volts at C', 'V', 2000),
  }),
  interlock: testOf('Remote and interlock', {
    wiring: choice('How it is wired', [
      'nothing connected',
      'remote switch',
      'ignition wire, with battery on it',
      'ignition wire, without battery on it',
    ]),
    setting: choice('Interlock set', ['off', 'on', 'it has none']),
    started: yesOrNo('It', 'started', 'did not start'),
  }),
  function: testOf(
    'Function checks',
    { what: someWords('What was checked', 120, 'remote switch'), result: choice('Result', functionResults) },
    { note: 'In words' },
  ),
}

/** One test of where a unit gives up, or of what else it does. */
export const LimitReading = readingOf('Test', testsOfLimits)
export type LimitReading = z.infer<typeof LimitReading>
export type LimitTest = LimitReading['test']
export type LimitOf<T extends LimitTest> = Extract<LimitReading, { test: T }>
