import type { CheckIn, Entry } from '@even-watt/contract'
import { runStation, type Moment } from '../../../endurance/station'
import type { BenchHand } from '../../capture'
import { keepLog } from '../../logged'
import { stationMeters as m } from '../../meters'
import { corrickModel } from '../../station'
import type { Files } from '../../waves'
import { atMoment, checkIns, clock, minute } from './checkIns'

/** 300 W of an evening, by the logger of the wattmeter, a row a minute; its gauge noted now and then. */
export function slowRunDown(files: Files, hand: BenchHand): Entry[] {
  hand.wait(600)
  const { moments } = runStation(corrickModel, { load: 300, room: (at) => 21.5 + at / 20_000 })
  const log = hand.entry('log', 1, {
    what: 'run-down',
    load: 'lamp board and oil heater',
    watts: 300,
    full: 'charger said full',
    charge: 1,
  })
  const begun = Date.parse(log.at)
  const rows = ['clock,load V,load W,kWh out,case °C,room °C']
  let counted = 0
  for (const [i, moment] of moments.entries()) {
    counted += moment.watts / 3.6e6
    if (i % minute !== 0) continue
    const shown = (quantity: 'V_C' | 'P_C' | 'T', meter: string, truth: number) =>
      hand.value(quantity, meter, truth).value
    rows.push(
      [
        clock(begun + moment.at * 1000),
        shown('V_C', m.plug120.id, moment.volts).toFixed(1),
        shown('P_C', m.plug120.id, moment.watts).toFixed(0),
        (counted * 0.998).toFixed(3),
        shown('T', m.thermocouples.id, moment.room + 0.55 * (moment.celsius - moment.room)).toFixed(1),
        moment.room.toFixed(1),
      ].join(','),
    )
  }
  const gauge = checkIns(hand, log, moments, [20, 45, 75, 105, 135, 160], (moment) => ({
    values: [],
    charge: Math.round(100 * moment.shown) / 100,
  }))
  const end = moments.findIndex(({ state }) => state === 'empty')
  const ended = atMoment(hand, log, end, {
    values: [],
    charge: 0.02,
    ended: 'BMS',
    observed: 'Its lowest cell stood at 2.6 V in its app.',
  })
  return [
    log,
    ...gauge,
    ended,
    keepLog(
      files,
      hand,
      log,
      { name: 'corrick-300.csv', text: `${rows.join('\n')}\n` },
      { V_C: m.plug120.id, P_C: m.plug120.id, E_C: m.plug120.id, T: m.thermocouples.id },
    ),
  ]
}

/** 800 W by hand: heat stops it, it comes back, its low cell ends it. */
export function quickRunDown(hand: BenchHand): Entry[] {
  hand.wait(16 * 3600)
  const { moments } = runStation(corrickModel, { load: 800 })
  const log = hand.entry('log', 1, {
    what: 'run-down',
    load: 'sand oven, low, and two lamps',
    watts: 800,
    full: 'charger said full',
    charge: 1,
  })
  let counted = 0
  const counter = moments.map(({ watts }) => (counted += watts / 3600))
  const read = (moment: Moment): Omit<CheckIn, 'log'> => ({
    values: [
      ...(moment.watts > 0
        ? [hand.value('V_C', m.plug120.id, moment.volts), hand.value('P_C', m.plug120.id, moment.watts)]
        : [hand.value('P_C', m.plug120.id, 0)]),
      hand.value('E_C', m.plug120.id, counter[moment.at] ?? 0),
    ],
    charge: Math.round(100 * moment.shown) / 100,
    temperatures: [
      { place: 'case', celsius: Number((moment.room + 0.6 * (moment.celsius - moment.room)).toFixed(1)) },
      { place: 'room', celsius: 22 },
    ],
    fan: moment.fan ? 'on' : 'off',
  })
  const hot = moments.findIndex(({ state }) => state === 'hot')
  const back = moments.findIndex(({ state }, i) => i > hot && state === 'on')
  const end = moments.findIndex(({ state }) => state === 'empty')
  const at = (i: number, more: Omit<CheckIn, 'log' | 'values'>): Entry[] => {
    const moment = moments[i]
    return moment ? [atMoment(hand, log, i, { ...read(moment), ...more })] : []
  }
  return [
    log,
    ...checkIns(hand, log, moments, [0, 5, 10, 20, 30, 40, 50], read),
    ...at(hot, { event: 'stopped', alarm: 'heat', observed: 'Heat sign; outlet dead, fan full.' }),
    ...at(back, { event: 'resumed', observed: 'Came back by itself.' }),
    ...checkIns(hand, log, moments, [Math.ceil((back + 240) / minute)], read),
    ...at(end, { ended: 'BMS', observed: 'Its app: lowest cell 2.6 V.' }),
  ]
}
