import type { Entry } from '@even-watt/contract'
import type { BenchHand } from '../../capture'
import { stationMeters as m } from '../../meters'

export function modesAndNoise(hand: BenchHand): Entry[] {
  hand.wait(3600)
  const noise = (level: number, background: number, watts: number, fan: 'on' | 'off') =>
    hand.entry('noise', 1, {
      level,
      background,
      distance: 1,
      load: 'lamp board',
      watts,
      silent: true,
      fan,
      meter: m.sound.id,
    })
  return [
    hand.entry('mode', 1, { test: 'draw', mode: 'on', values: [], hours: 10, refilled: 132 }),
    hand.entry('mode', 1, {
      test: 'draw',
      mode: 'ports only',
      values: [],
      hours: 10,
      chargeBefore: 0.86,
      chargeAfter: 0.83,
    }),
    hand.entry('mode', 1, {
      test: 'draw',
      mode: 'off',
      values: [],
      hours: 72,
      chargeBefore: 0.83,
      chargeAfter: 0.82,
    }),
    hand.entry('mode', 1, {
      test: 'pass-through',
      gridVolts: 119.8,
      gridWatts: 372,
      outletVolts: 119.6,
      outletWatts: 300,
    }),
    hand.entry('mode', 1, {
      test: 'pass-through',
      gridVolts: 112.4,
      gridWatts: 373,
      outletVolts: 112.1,
      outletWatts: 299,
    }),
    noise(52.4, 45.1, 700, 'on'),
    noise(46.2, 44.9, 120, 'off'),
  ]
}
