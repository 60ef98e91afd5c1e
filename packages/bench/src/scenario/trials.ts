import {
  formatName,
  formatVersion,
  type Block,
  type Entry,
  type Revision,
  type RigChange,
  type StoredMeter,
  type StoredRig,
  type Trial,
  type TrialDocument,
} from '@even-watt/contract'
import {
  describeChanges,
  keepPrediction,
  loadsToPredict,
  placed,
  predictSteps,
  predictSupply,
  viewTrial,
} from '@even-watt/core'
import type { BenchModel } from '../ladder/operate'
import { start, type MotorModel } from '../motors/start'
import { BenchHand, misread } from './capture'
import type { LoadModel } from '../loads/law'
import { shelf } from './loads'
import { chosenLadder, ladderByHand, Planner } from './plans'
import { stationMeters as m } from './meters'
import { bankTruth, pathTruth, stationBanks, stationRigs } from './rigs'
import { stationUnits, unitModels } from './units'

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

function document(trial: Trial, entries: Entry[]): TrialDocument {
  return {
    format: formatName,
    formatVersion,
    madeBy: 'Even Watt stand-in bench',
    madeAt: '2026-03-20T12:00:00.000Z',
    trial,
    entries,
  }
}

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
    stage: 'motors',
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
export function ottrelTrial(): TrialDocument {
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
    [...entries, ...day.log].sort((a, b) => a.at.localeCompare(b.at)),
  )
}

/** Planned, not begun: two days, for a run-down wants a full bank, which takes the night. */
export function varnockTrial(): TrialDocument {
  const meters: StoredMeter[] = [m.dmm1, m.dmm2, m.shunt, m.ammeter, m.clamp, m.scope, m.infrared]
  const startedAt = '2026-04-02T07:30:00.000Z'
  const hand = new BenchHand(4800, meters, startedAt)
  const trial: Trial = {
    id: hand.newId(),
    version: 1,
    title: 'Varnock 3600-48 for visiting launches',
    by: 'M.K.',
    startedAt,
    purpose: 'Does it carry the steriliser on one leg beside everything else?',
    hold: 1800,
    duty: [
      { hours: 14, load: 0 },
      { hours: 8, load: 300 },
      { hours: 2, load: 2400 },
    ],
    limiters: [],
    revisions: [
      {
        number: 1,
        why: 'On L48, with 50 mm² leads',
        madeAt: startedAt,
        unit: stationUnits.varnock,
        rig: stationRigs.l48,
        meters,
      },
    ],
  }
  const days = new Planner(4801, startedAt)
  for (const kind of [
    'look over',
    'rig',
    'make safe',
    'no load',
    'ladder',
    'limits',
    'motors',
    'rated hold',
  ] as const) {
    days.add(kind)
  }
  days.add('run-down', { watts: 1800 })
  days.add('findings')
  const targets = [5, 10, 25, 50, 75, 100, 110].map((share) => (share / 100) * 3600)
  return document(
    {
      ...trial,
      plan: chosenLadder(trial, targets, 6),
      schedule: days.schedule({
        opens: '08:30',
        closes: '16:30',
        charge: 0.97,
        charger: 15,
        dwell: 300,
        checkEvery: 20,
      }),
    },
    [],
  )
}

/** What changes are predicted to do, kept before they are made. */
function predictionOf(
  changes: readonly RigChange[],
  hand: BenchHand,
  trial: Trial,
  entries: readonly Entry[],
): Entry {
  const analysis = viewTrial(trial, entries).analyses[0]
  if (!analysis) throw new Error('A prediction needs a rig.')
  const { rig } = analysis.record.revision
  const supply = predictSupply(rig, analysis.supply, changes)
  const steps = loadsToPredict(analysis.steps, [], () => 0)
  hand.wait(300)
  return {
    id: hand.newId(),
    revision: 1,
    at: hand.now,
    stage: 'prediction',
    reading: keepPrediction(changes, describeChanges(rig, changes), predictSteps(supply, steps), undefined),
  }
}

/** Half done: alarm on the tired battery alone, then two steps on three in parallel. */
export function pellamTrial(): TrialDocument {
  const meters: StoredMeter[] = [m.dmm1, m.dmm2, m.clamp, m.leadClamp, m.pocket, m.ammeter, m.scope]
  const rig: StoredRig = stationRigs.g12
  const alone: BenchModel = {
    bank: bankTruth(stationBanks.g12),
    path: pathTruth(rig),
    unit: unitModels.pellam,
  }
  const three: BenchModel = { ...alone, bank: bankTruth(stationBanks.g12x3) }
  const hand = new BenchHand(6690, meters, '2026-03-19T13:10:00.000Z')
  const entries: Entry[] = [
    hand.makeSafe(stationUnits.pellam, rig, 1, 'M.K.'),
    hand.loadTest(alone, 1, [shelf.plateLow], { voltmeter: m.dmm1.id, ammeter: m.clamp.id }),
    hand.noLoad(alone, rig, 1),
  ]
  for (const loads of [
    [shelf.lamps(2)],
    [shelf.plateLow],
    [shelf.ovenLow],
    [shelf.ovenLow, shelf.plateLow],
  ]) {
    entries.push(...hand.step(alone, rig, 1, loads, { repeats: 1 }))
  }
  const trial: Trial = {
    id: hand.newId(),
    version: 1,
    title: 'Pellam 900-12 for the marsh hut',
    by: 'M.K.',
    startedAt: '2026-03-19T13:00:00.000Z',
    purpose: 'A spare for the north hut.',
    hold: 600,
    duty: [
      { hours: 20, load: 0 },
      { hours: 4, load: 120 },
    ],
    limiters: [],
    revisions: [
      {
        number: 1,
        why: 'On battery G12 alone',
        madeAt: '2026-03-19T13:00:00.000Z',
        unit: stationUnits.pellam,
        rig,
        meters,
      },
    ],
  }
  const [, b, c] = stationBanks.g12x3.strings
  const added = [b, c].map(([battery]): RigChange => ({
    kind: 'battery',
    name: battery.name,
    rest: battery.rest ?? battery.nominal,
    resistance: battery.resistance ?? 0,
    link: 0.0002,
  }))
  const takeOff: RigChange = { kind: 'take-off', positiveAt: 0, negativeAt: 2 }
  entries.push(predictionOf([...added, takeOff], hand, trial, entries))
  hand.wait(5400)
  const joinedAt = hand.now
  entries.push(hand.noLoad(three, rig, 2))
  for (const loads of [[shelf.ovenLow], [shelf.ovenLow, shelf.waxBath]]) {
    entries.push(...hand.step(three, rig, 2, loads, { repeats: 1, held: 600 }))
  }
  const second: Revision = {
    number: 2,
    why: 'Two younger batteries added in parallel',
    madeAt: joinedAt,
    unit: stationUnits.pellam,
    rig: { ...rig, name: 'G12x3, 25 mm² leads', bank: stationBanks.g12x3 },
    meters,
  }
  return document({ ...trial, revisions: [...trial.revisions, second] }, entries)
}
