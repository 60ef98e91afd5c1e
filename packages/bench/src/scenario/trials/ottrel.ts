import type {
  Block,
  Entry,
  Revision,
  StoredMeter,
  StoredRig,
  Trial,
  TrialDocument,
} from '@even-watt/contract'
import { placed } from '@even-watt/core'
import type { BenchModel } from '../../ladder/operate'
import type { LoadModel } from '../../loads/law'
import { start, type MotorModel } from '../../motors/start'
import { seeded } from '../../random'
import { BenchHand, misread } from '../capture'
import { shelf } from '../loads'
import { stationMeters as m } from '../meters'
import { ladderByHand, Planner } from '../plans'
import { bankTruth, pathTruth, stationRigs } from '../rigs'
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

const pump: MotorModel = { name: 'filtration vacuum pump', watts: 180, inrush: 7, powerFactor: 0.75 }
const transfer: MotorModel = { name: 'transfer pump', watts: 370, inrush: 6, powerFactor: 0.75 }
const winch: MotorModel = { name: 'capacitor-start winch', watts: 1100, inrush: 6.5, powerFactor: 0.85 }

const startMotor = (
  hand: BenchHand,
  bench: BenchModel,
  revision: number,
  number: number,
  motor: MotorModel,
  surge: number,
  state: string,
  base: number,
): Entry => {
  hand.wait(240)
  return {
    id: hand.newId(),
    revision,
    at: hand.now,
    kind: 'motors',
    reading: {
      number,
      load: motor.name,
      state,
      baseLoad: base,
      bankBefore: Number((bench.bank.E - 0.1).toFixed(2)),
      ...start(bench.unit, motor, surge, base),
    },
  }
}

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
    startMotor(hand, remade, 2, 1, pump, 2700, 'line open', 0),
    startMotor(hand, remade, 2, 2, transfer, 2700, 'primed', 350),
    startMotor(hand, remade, 2, 3, winch, 2700, 'slack rope', 0),
  )
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
  day.note(motors, 'start', holdAt, 15, {}, 2)
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
    meters,
  }
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
    [...entries, ...waves, ...day.log].sort((a, b) => a.at.localeCompare(b.at)),
  )
}

type Made = (
  about: { at: string; about: string; name: string },
  revision: number,
  seed: number,
  loads: readonly LoadModel[],
) => Entry

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
