import type {
  CheckIn,
  Entry,
  EntryOf,
  PortReading,
  StoredMeter,
  Trial,
  TrialDocument,
} from '@even-watt/contract'
import { runStation, type Moment } from '../../endurance/station'
import { solarAfternoon, wallCharge } from '../../charging/solar'
import { atEndOf, type PortModel } from '../../ports/port'
import { BenchHand } from '../capture'
import { keepLog } from '../logged'
import { stationMeters as m } from '../meters'
import { stationRigs } from '../rigs'
import { corrickModel, corrickPanels, corrickPorts } from '../station'
import { stationUnits } from '../units'
import type { Files } from '../waves'
import { document } from './document'

const meters: StoredMeter[] = [m.plug120, m.wall120, m.usb, m.solar, m.thermocouples, m.sound]
const minute = 60

/** A station of its own kind: run down at two loads, its ports, its charging, what it draws and how loud it is. */
export function corrickTrial(files: Files = new Map()): TrialDocument {
  const startedAt = '2026-04-14T08:00:00.000Z'
  const hand = new BenchHand(8501, meters, startedAt)
  const trial: Trial = {
    id: hand.newId(),
    version: 1,
    title: 'Corrick 850 for the south hut',
    by: 'R.O.',
    startedAt,
    purpose: 'Does it carry the hut’s pump and lamps through a night?',
    hold: 600,
    duty: [
      { hours: 10, load: 0 },
      { hours: 12, load: 45 },
      { hours: 2, load: 180 },
    ],
    limiters: [],
    revisions: [
      {
        number: 1,
        why: 'As it came',
        madeAt: startedAt,
        unit: stationUnits.corrick,
        rig: stationRigs.corrick,
        meters,
      },
    ],
  }
  const entries: Entry[] = [hand.makeSafe(stationUnits.corrick, stationRigs.corrick, 1, 'R.O.')]
  entries.push(...slowRunDown(files, hand), ...charge(hand), ...quickRunDown(hand), ...portTests(hand))
  entries.push(...sun(files, hand), ...modesAndNoise(hand))
  return document(trial, entries)
}

const clock = (at: number) => new Date(at).toISOString().slice(11, 19)

/** 300 W of an evening, by the logger of the wattmeter, a row a minute; its gauge noted now and then. */
function slowRunDown(files: Files, hand: BenchHand): Entry[] {
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

/** A check-in at a second of its log. */
function atMoment(hand: BenchHand, log: EntryOf<'log'>, at: number, reading: Omit<CheckIn, 'log'>): Entry {
  const entry = hand.entry('check-in', 1, { log: log.id, ...reading })
  return { ...entry, at: new Date(Date.parse(log.at) + at * 1000).toISOString() }
}

/** Check-ins at some minutes of a run, a few seconds late. */
const checkIns = (
  hand: BenchHand,
  log: EntryOf<'log'>,
  moments: readonly Moment[],
  minutes: readonly number[],
  read: (moment: Moment) => Omit<CheckIn, 'log'>,
): Entry[] =>
  minutes.flatMap((at) => {
    const moment = moments[at * minute + 7]
    return moment ? [atMoment(hand, log, moment.at, read(moment))] : []
  })

/** 800 W by hand: heat stops it, it comes back, its low cell ends it. */
function quickRunDown(hand: BenchHand): Entry[] {
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

/** From empty to full at the wall, noted every quarter of an hour. */
function charge(hand: BenchHand): Entry[] {
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

/** V against A at the end of a lead of 90 mΩ. */
const sweep = (
  hand: BenchHand,
  port: PortModel,
  amps: readonly number[],
  lead: number,
  more: Partial<Extract<PortReading, { test: 'load' }>> = {},
) => {
  hand.wait(400)
  return hand.entry('port', 1, {
    test: 'load',
    port: port.name,
    volts: Math.round(port.volts),
    points: amps.map((I) => ({
      amps: hand.value('I_port', m.usb.id, I).value,
      volts: hand.value('V_port', m.usb.id, atEndOf(lead, port, I)).value,
    })),
    lead,
    meter: m.usb.id,
    ...more,
  })
}

function portTests(hand: BenchHand): Entry[] {
  hand.wait(4 * 3600)
  const { usbC, usbA, socket12 } = corrickPorts
  return [
    hand.entry('port', 1, {
      test: 'offered',
      port: usbC.name,
      offers: [
        { volts: 5, amps: 3 },
        { volts: 9, amps: 3 },
        { volts: 15, amps: 3 },
        { volts: 20, amps: 2.25, given: true },
      ],
      cable: 'marked 3 A, 1 m',
    }),
    sweep(hand, usbC, [0, 0.5, 1, 1.5, 1.8, 2, 2.1, 2.2, 2.3, 2.4], 0.09, {
      cutoff: 2.6,
      returned: 'by unplugging',
      cable: 3,
      charge: 0.97,
    }),
    sweep(hand, usbC, [0, 1, 1.5, 2, 2.1, 2.2], 0.09, {
      charge: 0.12,
      cable: 3,
      note: 'Again at low charge.',
    }),
    sweep(hand, usbA, [0, 0.5, 1, 1.5, 2, 2.4, 2.5], 0.09, { charge: 0.95 }),
    sweep(hand, { ...socket12, name: '12 V socket' }, [0, 1, 2, 3, 4, 5, 6], 0.03, {
      volts: 13,
      charge: 0.94,
      shown: 71,
    }),
    hand.entry('port', 1, {
      test: 'neighbour',
      port: 'USB-A',
      neighbour: 'second USB-A',
      before: 5.16,
      after: 5.04,
      amps: 2.4,
    }),
    hand.entry('port', 1, {
      test: 'together',
      loaded: [
        { port: 'USB-C', volts: 19.9, amps: 2 },
        { port: 'USB-A', volts: 5.08, amps: 2.4 },
        { port: '12 V socket', volts: 13, amps: 5.5 },
      ],
      held: true,
    }),
  ]
}

/** An afternoon of sun on two panels in parallel, with clouds; a row every minute. */
function sun(files: Files, hand: BenchHand): Entry[] {
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

function modesAndNoise(hand: BenchHand): Entry[] {
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
