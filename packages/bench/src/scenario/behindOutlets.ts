import type { Entry } from '@even-watt/contract'
import type { BenchHand } from './capture'

/** Behind the outlets of the dock: both legs, the long cord to the launch, its breaker, its ground-fault device. */
export const behindOutlets = (hand: BenchHand): Entry[] => {
  const made = (reading: Parameters<typeof hand.entry<'outlet'>>[2]) => {
    hand.wait(240)
    return hand.entry('outlet', 1, reading)
  }
  return [
    made({
      test: 'each outlet',
      read: [
        { outlet: 'L1 left', volts: 119.6 },
        { outlet: 'L1 right', volts: 119.5 },
        { outlet: 'L2 left', volts: 119.8 },
        { outlet: 'L2 right', volts: 117.2 },
      ],
      watts: 600,
      note: 'Its spring is weak: the plug falls out.',
    }),
    made({
      test: 'cord',
      cord: 'dock cord to the launch',
      amps: 7.6,
      size: '12 AWG',
      length: 15,
      atOutlet: 119.1,
      atEnd: 117.6,
      load: 'compressor',
      startAmps: 31,
      startAtOutlet: 113.2,
      startAtEnd: 107,
      started: true,
    }),
    made({
      test: 'breaker',
      breaker: 'dock outlet',
      rating: 20,
      amps: 18.4,
      tripped: false,
      lasted: 1800,
      leg: 'L1',
      size: '12 AWG',
    }),
    made({
      test: 'ground fault',
      device: 'dock outlet',
      rating: 6,
      how: 'a tester from live to earth',
      opened: true,
      leaked: 6,
      after: 180,
      restored: true,
    }),
  ]
}
