import type { CheckIn, Entry, EntryOf, StoredRig } from '@even-watt/contract'
import { changeover, searchMean } from '../modes/changeover'
import { runBank, type ParallelModel } from '../endurance/bank'
import { warmed } from '../endurance/warmth'
import type { StoreModel } from '../endurance/store'
import { sample, steadily, type Scope } from '../waveform/scope'
import { asTable } from '../waveform/files'
import { seeded } from '../random'
import type { BenchHand } from './capture'
import { keepCapture, specifiedAs, type Files } from './waves'
import { stationMeters as m } from './meters'

/** Hours at the bench that stand in the trials of inverters. */

const at = (entry: Entry, log: EntryOf<'log'>, seconds: number): Entry => ({
  ...entry,
  at: new Date(Date.parse(log.at) + seconds * 1000).toISOString(),
})

/** An hour at rated: volts, amps, watts, and what lug, case and lead come to. */
export function ratedHour(hand: BenchHand, rig: StoredRig, revision: number): Entry[] {
  const log = hand.entry('log', revision, {
    what: 'rated hold',
    load: 'sand oven, high, and four lamps',
    watts: 1400,
    planned: 3600,
  })
  const lead = rig.positive.find(({ kind }) => kind === 'cable')
  const lug = rig.negative.find(({ kind }) => kind === 'lug')
  const places = [
    { place: 'case' as const, perWatt: 0.21, tau: 960, watts: 103 },
    { place: 'part of the rig' as const, part: lug?.id, perWatt: 11, tau: 420, watts: 0.85 },
    { place: 'part of the rig' as const, part: lead?.id, perWatt: 4.1, tau: 540, watts: 5.4 },
  ]
  const minutes = [2, 5, 8, 12, 16, 20, 26, 32, 40, 50, 60]
  const read = (seconds: number, ended: boolean): Omit<CheckIn, 'log'> => {
    const room = 22 + seconds / 3600
    return {
      values: [
        hand.value('V_A', m.dmm1.id, 25.7 - seconds / 12_000),
        hand.value('V_B', m.dmm1.id, 25.53 - seconds / 12_000),
        hand.value('I', m.shunt.id, 58.9 + seconds / 5000),
        hand.value('V_C', m.dmm2.id, 229.3),
        hand.value('P_C', m.wattmeter.id, 1402),
      ],
      temperatures: [
        ...places.map(({ perWatt, tau, watts, place, part }) => ({
          place,
          ...(part ? { part } : {}),
          celsius: Number((room + warmed({ perWatt, tau }, 0, watts, seconds)).toFixed(1)),
        })),
        { place: 'room' as const, celsius: Number(room.toFixed(1)) },
      ],
      fan: 'on',
      ...(ended ? { ended: 'time was up' as const } : {}),
    }
  }
  return [
    log,
    ...minutes.map((minute) =>
      at(
        hand.entry('check-in', revision, { log: log.id, ...read(minute * 60, minute === 60) }),
        log,
        minute * 60,
      ),
    ),
  ]
}

const glassMat = (capacity: number, R0: number): StoreModel => ({
  kind: 'lead',
  cells: 6,
  capacity,
  weak: 1,
  R0,
  R1: R0,
  tau: 600,
  cutoff: 1.7,
  limit: 500,
})

/** G12x3 as it truly is: the tired one has a quarter of its Ah left. */
const g12x3Truth: ParallelModel = {
  batteries: [glassMat(24, 0.017), glassMat(92, 0.006), glassMat(90, 0.0064)],
  link: 0.0002,
  positiveAt: 0,
  negativeAt: 2,
}

/** Three batteries run down together, each with its amps; rested apart afterwards. */
export function runDownOfThree(hand: BenchHand, rig: StoredRig, revision: number): Entry[] {
  const batteries = rig.bank.strings.flat()
  const moments = runBank(g12x3Truth, 440, 10.9, 20)
  const log = hand.entry('log', revision, {
    what: 'run-down',
    load: 'wax bath',
    kind: 'element',
    watts: 385,
    full: 'rested after a full charge',
  })
  const last = moments.length - 1
  const shown = (i: number): Omit<CheckIn, 'log'> => {
    const moment = moments[i]
    const sum = moment?.amps.reduce((total, amps) => total + amps, 0) ?? 0
    return {
      values: [
        hand.value('V_A', m.dmm1.id, moment?.volts ?? 0),
        hand.value('V_B', m.dmm1.id, (moment?.volts ?? 0) - 0.004 * sum),
        hand.value('I', m.clamp.id, sum),
        hand.value('V_C', m.dmm2.id, 224),
        hand.value('I_C', m.leadClamp.id, 1.719),
      ],
      batteries: batteries.map(({ id }, k) => ({
        battery: id,
        amps: Number((moment?.amps[k] ?? 0).toFixed(1)),
        volts: Number((moment?.each[k] ?? 0).toFixed(2)),
      })),
    }
  }
  const step = Math.floor(last / 9)
  const entries: Entry[] = [log]
  for (let i = 0; i < last; i += step)
    entries.push(at(hand.entry('check-in', revision, { log: log.id, ...shown(i) }), log, moments[i]?.at ?? 0))
  const end = moments[last]?.at ?? 0
  entries.push(
    at(
      hand.entry('check-in', revision, {
        log: log.id,
        ...shown(last),
        ended: 'low voltage',
        observed: 'Alarm, then off.',
      }),
      log,
      end,
    ),
    at(
      hand.entry('check-in', revision, {
        log: log.id,
        values: [],
        batteries: batteries.map(({ id }, k) => ({ battery: id, volts: [11.31, 11.84, 11.82][k] ?? 11.8 })),
        note: 'Links off, rested for a quarter of an hour.',
      }),
      log,
      end + 900,
    ),
  )
  return entries
}

const transferScope: Scope = {
  name: 'Bench scope, captures',
  bits: 8,
  rate: 10_000,
  percent: 3,
  gain: 0.3,
  offset: 0.002,
  noise: 0.35,
  skew: 4e-6,
}

/** W of search mode over whole cycles. */
const searched = searchMean({ sleeps: 2.3, pulse: 26, every: 1.7, lasts: 0.201 })

/** Both ways between grid and battery, captured; search mode’s threshold; a night in search. */
export function modesOfVarnock(files: Files, hand: BenchHand, revision: number): Entry[] {
  const transfer = (
    way: 'grid to battery' | 'battery to grid',
    gap: number,
    phase: number,
    seed: number,
  ): Entry[] => {
    hand.wait(300)
    const entry = hand.entry('mode', revision, {
      test: 'transfer',
      way,
      seen: 'capture',
      watts: 600,
      rodeThrough: true,
      equipment: 'dock and microscope lamp',
    })
    const model = { peak: 120.4 * Math.SQRT2, frequency: 60, at: 0.1907, gap, phase }
    const random = seeded(seed)
    const x = sample(transferScope, (turn) => changeover(model, turn / 60), steadily(60, 0), {
      seconds: 0.5,
      random,
    })
    const capture = keepCapture(
      files,
      asTable(transferScope.rate, [['V_C (V)', x]]),
      { at: hand.now, revision, seed, name: `transfer-${Math.round(gap * 1000)}.csv`, about: entry.id },
      specifiedAs(transferScope),
    )
    return [entry, capture]
  }
  const wake = (watts: number, woke: boolean) => {
    hand.wait(60)
    return hand.entry('mode', revision, { test: 'wake', watts, woke })
  }
  hand.wait(1200)
  const draw = hand.entry('mode', revision, {
    test: 'draw',
    mode: 'search',
    values: [hand.value('V_B', m.dmm1.id, 53.2), hand.value('I', m.ammeter.id, searched / 53.2)],
    cycles: 12,
  })
  const woken = [wake(60, true), wake(12, false), wake(30, true), wake(21, false), wake(25, true)]
  const transfers = [
    ...transfer('grid to battery', 0.0172, 1.2, 4901),
    ...transfer('battery to grid', 0.0064, 0.4, 4903),
  ]
  hand.wait(6 * 3600)
  const night = hand.entry('log', revision, {
    what: 'idle',
    mode: 'search',
    planned: 36_000,
    note: 'A night in search mode, nothing connected.',
  })
  const hours = [1, 2, 4, 6, 8, 10].map((hour) =>
    at(
      hand.entry('check-in', revision, {
        log: night.id,
        values: [
          hand.value('V_B', m.dmm1.id, 53.2 - hour * 0.006),
          hand.value('I', m.ammeter.id, searched / 53.2),
        ],
        ...(hour === 10 ? { ended: 'time was up' as const } : {}),
      }),
      night,
      hour * 3600,
    ),
  )
  return [draw, ...woken, ...transfers, night, ...hours]
}
