import type { Entry } from '@even-watt/contract'
import { solarAfternoon, wallCharge } from '../../../charging/solar'
import type { BenchHand } from '../../capture'
import { keepLog } from '../../logged'
import { stationMeters as m } from '../../meters'
import { corrickPanels } from '../../station'
import type { Files } from '../../waves'
import { atMoment, minute } from './checkIns'

/** From empty to full at the wall, noted every quarter of an hour. */
export function charge(hand: BenchHand): Entry[] {
  hand.wait(5 * 3600)
  const log = hand.entry('log', 1, {
    what: 'charge',
    source: 'wall',
    charge: 0,
    watts: 240,
    note: 'From empty, as the run-down left it.',
  })
  const moments = wallCharge({ capacity: 1000, efficiency: 0.88, most: 242, tapersFrom: 0.9 })
  let counted = 0
  const entries: Entry[] = [log]
  moments.forEach(({ at, watts, share }, i) => {
    counted += watts / minute
    const last = i === moments.length - 1
    if (i % 15 !== 5 && !last) return
    entries.push(
      atMoment(hand, log, at, {
        values: [hand.value('P_wall', m.wall120.id, watts), hand.value('E_wall', m.wall120.id, counted)],
        charge: Math.round(100 * share) / 100,
        ...(last ? { ended: 'full' as const } : {}),
      }),
    )
  })
  hand.wait(moments.length * minute)
  return entries
}

/** An afternoon of sun on two panels in parallel, with clouds; a row every minute. */
export function sun(files: Files, hand: BenchHand): Entry[] {
  hand.wait(20 * 3600)
  const log = hand.entry('log', 1, {
    what: 'charge',
    source: 'solar',
    charge: 0.2,
    note: 'Two panels in parallel on the south roof.',
  })
  const rows = ['time s;panel V;panel A;irradiance W/m²']
  for (const { at, volts, amps, irradiance } of solarAfternoon(corrickPanels, {
    hours: 5,
    peak: 960,
    seed: 77,
  }))
    rows.push(
      [
        at,
        hand.value('V_in', m.solar.id, volts).value.toFixed(2).replace('.', ','),
        hand.value('I_in', m.solar.id, amps).value.toFixed(2).replace('.', ','),
        irradiance.toFixed(0),
      ].join(';'),
    )
  const input = (V: number, A: number, irradiance?: number) => {
    hand.wait(120)
    return hand.entry('charging', 1, {
      test: 'input',
      source: 'solar',
      values: [
        hand.value('V_in', m.solar.id, V),
        hand.value('I_in', m.solar.id, A),
        hand.value('P_in', m.solar.id, V * A),
      ],
      ...(irradiance === undefined ? {} : { irradiance }),
      note: 'From a bench supply behind a resistor.',
    })
  }
  const kept = keepLog(
    files,
    hand,
    log,
    { name: 'corrick-sun.csv', text: `${rows.join('\n')}\n` },
    { V_in: m.solar.id, I_in: m.solar.id },
  )
  hand.wait(6 * 3600)
  const ended = atMoment(hand, log, 5 * 3600, {
    values: [],
    charge: 0.84,
    ended: 'by hand',
    observed: 'The sun went behind the roof.',
  })
  return [
    log,
    kept,
    ended,
    ...[
      [13, 9.9],
      [15, 9.9],
      [18, 9.9],
      [21, 9.86],
      [24, 8.63],
      [28, 7.39],
      [33, 6.27],
    ].map(([V = 0, A = 0]) => input(V, A)),
    hand.entry('charging', 1, {
      test: 'panel',
      name: 'roof panel',
      owned: 2,
      openVolts: 22.4,
      shortAmps: 6.2,
      watts: 110,
      perKelvin: -0.29,
      coldest: -5,
    }),
  ]
}
