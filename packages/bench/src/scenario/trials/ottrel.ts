import type {
  Block,
  Entry,
  EntryOf,
  Revision,
  StoredMeter,
  StoredRig,
  Trial,
  TrialDocument,
} from '@even-watt/contract'
import { placed } from '@even-watt/core'
import type { BenchModel } from '../../ladder/operate'
import type { LoadModel } from '../../loads/law'
import { seeded } from '../../random'
import { BenchHand, misread } from '../capture'
import { shelf } from '../loads'
import { ratedHour } from '../hours'
import { machines, unitLimits } from '../machines'
import { stationMeters as m } from '../meters'
import { ladderByHand, Planner } from '../plans'
import { bankTruth, pathTruth, stationRigs } from '../rigs'
import { attempt } from '../starts'
import { stationUnits, unitModels } from '../units'
import { captureInput, captureOutlet, keepCapture, specifiedAs, stationScope, type Files } from '../waves'
import { asSound, asTable } from '../../waveform/files'
import { generatorWave, gridWave, hunting } from '../../waveform/references'
import { sample, steadily } from '../../waveform/scope'
import { document, predictionOf } from './document'

const duty = [
  { hours: 18, load: 0 },
  { hours: 4, load: 90 },
  { hours: 1.5, load: 420 },
  { hours: 0.5, load: 1200 },
]

const ladderLoads = [
  [shelf.mat],
  [shelf.lamps(2)],
  [shelf.plateLow],
  [shelf.plateHigh],
  [shelf.ovenLow, shelf.waxBath],
  [shelf.rod, shelf.plateLow, shelf.mat],
]

const taped = 'Read on matt tape over the lug.'

/** Complete: two rig revisions, the negative lug bad, found by a survey and remade, a ladder on each. */
export function ottrelTrial(files: Files = new Map()): TrialDocument {
  const meters: StoredMeter[] = [m.dmm1, m.dmm2, m.shunt, m.ammeter, m.wattmeter, m.scope, m.infrared]
  const rig: StoredRig = stationRigs.l24
  const badLug: BenchModel = {
    bank: bankTruth(rig.bank),
    path: pathTruth(rig, { 'negative lug': 0.01 }),
    unit: unitModels.ottrel,
  }
  const remade: BenchModel = { ...badLug, path: pathTruth(rig, { 'negative lug': 0.0002 }) }
  const hand = new BenchHand(133, meters, '2026-03-12T08:05:00.000Z')
  const holding = [shelf.ovenHigh, shelf.lamps(4)]
  const probes = { voltmeter: m.dmm1.id, ammeter: m.shunt.id }
  const trial: Trial = {
    id: hand.newId(),
    version: 1,
    title: 'Ottrel 1400-24 for launch 2',
    by: 'R.O.',
    startedAt: '2026-03-12T08:00:00.000Z',
    purpose: 'May it run the centrifuge and the sample freezer of launch 2?',
    hold: 600,
    duty,
    limiters: [],
    revisions: [
      {
        number: 1,
        why: 'As found on the bench',
        madeAt: '2026-03-12T08:00:00.000Z',
        unit: stationUnits.ottrel,
        rig,
        meters,
      },
    ],
  }
  const entries: Entry[] = []
  const day = new Planner(207, trial.startedAt)
  const [lookOver, looking, safe] = [day.add('look over'), day.add('rig'), day.add('make safe')]
  const [idle, ladder] = [day.add('no load'), day.add('ladder')]
  const again = day.add('ladder', { fixed: true })
  const [hold, motors] = [
    day.add('rated hold', { minutes: 12 }),
    day.add('motors', { fixed: true, minutes: 14 }),
  ]
  const [checks, findings] = [day.add('checks'), day.add('findings')]
  const span = (block: Block, from: string, to: string, revision: number) => {
    day.note(block, 'start', from, 0, {}, revision)
    day.note(block, 'finish', to, 0, {}, revision)
  }
  span(lookOver, trial.startedAt, hand.now, 1)
  day.note(looking, 'skip', hand.now, 0, { note: 'Stood since yesterday.' })

  const readAt = hand.now
  entries.push(hand.makeSafe(stationUnits.ottrel, rig, 1, 'R.O.'))
  span(safe, readAt, hand.now, 1)
  const idleAt = hand.now
  entries.push(hand.noLoad(badLug, rig, 1), hand.noLoad(badLug, rig, 1))
  span(idle, idleAt, hand.now, 1)
  const climbAt = hand.now
  for (const loads of ladderLoads) {
    const [first, second] = hand.step(badLug, rig, 1, loads, { celsius: 24 })
    if (!first || !second) continue
    entries.push(first, second)
    if (loads[0] === shelf.plateHigh) {
      const slipped = misread({ ...second, id: hand.newId() }, 'V_B')
      entries.push(slipped, hand.takeBack(slipped, 'Two digits of V_B exchanged when typing.'))
    }
  }
  const stopped = hand.step(badLug, rig, 1, holding, {
    celsius: 91,
    repeats: 1,
    held: 260,
    end: 'stopped by hand',
    note: 'Negative lug passed 90 °C; stopped.',
  })
  entries.push(...stopped, ...stopped.map((entry) => hand.keep(entry, 14, taped)))
  span(ladder, climbAt, hand.now, 1)
  hand.wait(1800)
  entries.push(
    hand.loadTest(badLug, 1, [shelf.rod], probes),
    hand.survey(badLug, rig, 1, [shelf.plateHigh], probes),
  )
  const lug = placed(rig).find(({ element }) => element.name === 'negative lug')
  if (lug) entries.push(predictionOf([{ kind: 'remake', element: lug.element.id }], hand, trial, entries))

  hand.wait(1800)
  const remadeAt = hand.now
  entries.push(hand.noLoad(remade, rig, 2), hand.noLoad(remade, rig, 2))
  const againAt = hand.now
  for (const loads of ladderLoads) entries.push(...hand.step(remade, rig, 2, loads, { celsius: 24 }))
  span(again, againAt, hand.now, 2)
  const holdAt = hand.now
  const held = hand.step(remade, rig, 2, holding, {
    celsius: 38,
    held: 600,
    note: 'Held for ten minutes; lug at 38 °C.',
  })
  entries.push(
    ...held,
    ...held.slice(0, 1).map((entry) => hand.keep(entry, 14, taped)),
    hand.survey(remade, rig, 2, [shelf.plateHigh], probes),
  )
  const motorsAt = hand.now
  const machinesOn = startsOf(files, hand, remade)
  entries.push(...machinesOn, ...overloadsOf(hand))
  day.note(hold, 'start', holdAt, 0, {}, 2)
  const due = (minutes: number) => new Date(Date.parse(holdAt) + minutes * 60_000).toISOString()
  day.note(
    hold,
    'check-in',
    holdAt,
    10.5,
    { check: 1, due: due(10), note: 'Lug 38 °C, fan on, no smell.' },
    2,
  )
  day.note(
    hold,
    'check-in',
    holdAt,
    14,
    { check: 2, due: due(12), note: 'Carried; late for a phone call.' },
    2,
  )
  day.note(hold, 'finish', holdAt, 14, {}, 2)
  day.note(motors, 'start', motorsAt, 1, {}, 2)
  day.note(motors, 'finish', hand.now, 1, {}, 2)
  day.note(checks, 'skip', hand.now, 2, { note: 'Nothing to check on this unit.' }, 2)
  day.note(findings, 'start', hand.now, 5, {}, 2)
  day.note(findings, 'finish', hand.now, 40, {}, 2)
  const second: Revision = {
    number: 2,
    why: 'Negative lug remade',
    madeAt: remadeAt,
    unit: stationUnits.ottrel,
    rig: { ...rig, note: 'Negative lug remade and torqued.' },
    meters: [...meters, m.thermocouples],
  }
  const hour = ratedHour(new BenchHand(139, meters, '2026-03-12T15:30:00.000Z'), rig, 2)
  const waves = [
    ...wavesOf(entries, 1, (about, revision, seed, loads) =>
      captureOutlet(files, badLug, loads, { ...about, revision, seed }),
    ),
    ...wavesOf(entries, 2, (about, revision, seed, loads) =>
      captureOutlet(files, remade, loads, { ...about, revision, seed }),
    ),
  ]
  const [heaviest] = held
  if (heaviest)
    waves.push(
      captureInput(files, remade, holding, {
        at: heaviest.at,
        about: heaviest.id,
        revision: 2,
        seed: 4100,
        name: 'input-1400.csv',
      }),
    )
  waves.push(...besides(files, remade, hand.now))
  const usesOf = (loads: readonly LoadModel[]) => loads.flatMap(({ use }) => use ?? [])
  const targets = [70, 140, 350, 700, 1050, 1400]
  const steps = ladderLoads.map((loads, i) => [targets[i] ?? 0, usesOf(loads)] as const)
  return document(
    {
      ...trial,
      revisions: [...trial.revisions, second],
      plan: ladderByHand(trial, steps, 4),
      schedule: day.schedule({ opens: '08:00', closes: '17:00', charge: 1, charger: 30 }),
    },
    [...entries, ...hour, ...waves, ...day.log].sort((a, b) => a.at.localeCompare(b.at)),
  )
}

type Made = (
  about: { at: string; about: string; name: string },
  revision: number,
  seed: number,
  loads: readonly LoadModel[],
) => Entry

/** Machines from light to heavy, each alone and on a base load; the tired bank is L24 at the end of a long day. */
function startsOf(files: Files, hand: BenchHand, bench: BenchModel): Entry[] {
  const limits = unitLimits.ottrel
  const tired: BenchModel = { ...bench, bank: { E: 24.9, R: 0.033 } }
  const breaker = { rating: 100, seconds: 0.2 }
  return [
    ...attempt(
      files,
      hand,
      bench,
      machines.vacuum,
      { revision: 2, seed: 4401, conditions: { limits, seconds: 1.4 } },
      { number: 1, state: 'line open' },
    ),
    ...attempt(
      files,
      hand,
      bench,
      machines.freezer,
      { revision: 2, seed: 4403, conditions: { limits, seconds: 1.6 } },
      { number: 2, state: 'just stopped, pressure up' },
    ),
    ...attempt(
      files,
      hand,
      tired,
      machines.transfer,
      { revision: 2, seed: 4405, conditions: { limits, base: 350, seconds: 2.6 } },
      { number: 3, state: 'primed', note: 'Bank at the end of the day.' },
    ),
    ...attempt(
      files,
      hand,
      bench,
      machines.transfer,
      { revision: 2, seed: 4407, conditions: { limits, base: 350, seconds: 2.2 } },
      { number: 4, state: 'primed', note: 'Bank charged.' },
    ),
    ...attempt(
      files,
      hand,
      bench,
      machines.winch,
      { revision: 2, seed: 4409, conditions: { limits, seconds: 3 } },
      { number: 5, state: 'slack rope', opened: 'the unit' },
    ),
    ...attempt(
      files,
      hand,
      bench,
      machines.mill,
      { revision: 2, seed: 4411, conditions: { limits, base: 700, protection: breaker, seconds: 3 } },
      { number: 6, state: 'empty', opened: 'breaker' },
    ),
  ]
}

/** The tier of its surge claim held, then more until it gave up. */
function overloadsOf(hand: BenchHand): Entry[] {
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

/** A wave at no load and at each step of one rig, saved when its first reading was taken. */
function wavesOf(entries: readonly Entry[], revision: number, make: Made): Entry[] {
  const idle = entries.find((entry) => entry.kind === 'no load' && entry.revision === revision)
  const steps = [...ladderLoads, [shelf.ovenHigh, shelf.lamps(4)]]
  return [
    ...(idle
      ? [make({ at: idle.at, about: idle.id, name: 'no-load.csv' }, revision, 4000 + revision, [])]
      : []),
    ...steps.flatMap((loads, i) => {
      const load = loads.map(({ name }) => name).join(' + ')
      const first = entries.find(
        (entry) => entry.kind === 'ladder' && entry.revision === revision && entry.reading.load === load,
      )
      if (!first) return []
      const watts = loads.reduce((sum, one) => sum + one.watts, 0)
      return make(
        { at: first.at, about: first.id, name: `step-${watts}.csv` },
        revision,
        4010 + 20 * revision + i,
        loads,
      )
    }),
  ]
}

/** What was looked at beside: the dock's current, the grid by a sound card, the launch's generator. */
function besides(files: Files, bench: BenchModel, at: string): Entry[] {
  const random = seeded(4200)
  const card = { ...stationScope, name: 'Sound card', bits: 16, rate: 8000, percent: 4, noise: 2 }
  const full = 652
  const grid = sample(card, gridWave, steadily(50.004, 0.21), { seconds: 0.25, random })
  const generator = sample(stationScope, generatorWave, hunting, { seconds: 1.2, random })
  const shared = { at, revision: 2 }
  return [
    captureOutlet(files, bench, [shelf.dock], {
      ...shared,
      seed: 4201,
      name: 'dock.csv',
      what: 'the dock alone',
    }),
    keepCapture(
      files,
      asSound(card.rate, grid, full),
      { ...shared, seed: 4202, name: 'grid.wav', reference: 'grid' },
      specifiedAs(card),
      { rate: card.rate, channels: [{ column: 0, quantity: 'V_C', factor: full }] },
    ),
    keepCapture(
      files,
      asTable(stationScope.rate, [['V_C (V)', generator]]),
      { ...shared, seed: 4203, name: 'generator.csv', reference: 'engine generator' },
      specifiedAs(stationScope),
    ),
  ]
}
