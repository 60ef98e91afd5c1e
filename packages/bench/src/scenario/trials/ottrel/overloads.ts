import type { Entry, EntryOf } from '@even-watt/contract'
import type { BenchHand } from '../../capture'

/** The tier of its surge claim held, then more until it gave up. */
export function overloadsOf(hand: BenchHand): Entry[] {
  const made = (reading: EntryOf<'limit'>['reading']): Entry => {
    hand.wait(300)
    return { id: hand.newId(), revision: 2, at: hand.now, kind: 'limit', reading }
  }
  const by = { test: 'overload', volts: 226.4, inputVolts: 24.42 } as const
  return [
    made({
      ...by,
      how: 'timed tier',
      load: 'kettle + immersion rod',
      watts: 2731,
      lasted: 2.5,
      ended: 'carried',
      alarmAt: 2731,
    }),
    made({
      ...by,
      how: 'raised',
      load: 'kettle + immersion rod + plate high',
      watts: 3310,
      lasted: 0.9,
      ended: 'overload',
      volts: 221.9,
      inputVolts: 24.1,
      comeback: 'by itself',
      comebackAfter: 6,
      baseBefore: 230.9,
      baseAfter: 230.9,
    }),
    made({
      test: 'threshold',
      which: 'alarm',
      V_B: 21.62,
      watts: 120,
      note: 'From a bench supply, lowered slowly.',
    }),
    made({ test: 'threshold', which: 'cutoff', V_B: 20.83, watts: 120 }),
    made({ test: 'threshold', which: 'reconnect', V_B: 24.1, watts: 120 }),
    made({
      test: 'start-up',
      outcome: 'started',
      seen: 'watch',
      startUp: 2.1,
      softStart: 0.6,
      load: 'drying plate high',
      watts: 700,
    }),
    made({ test: 'dynamic', from: 60, to: 1060, lowest: 218, highest: 233.8, back: 0.12, lamps: 'steady' }),
    made({ test: 'function', what: 'Remote switch', result: 'passed' }),
    made({
      test: 'function',
      what: 'Lamps and display',
      result: 'passed',
      note: 'Its display shows whole volts only.',
    }),
    made({ test: 'function', what: 'Ground-fault button', result: 'not tried', note: 'It has none.' }),
    made({
      test: 'function',
      what: 'Reverse polarity',
      result: 'not tried',
      note: 'Never tried on purpose.',
    }),
  ]
}
