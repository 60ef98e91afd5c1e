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
import type { BenchModel } from '../../../ladder/operate'
import type { LoadModel } from '../../../loads/law'
import { BenchHand, misread } from '../../capture'
import { shelf } from '../../loads'
import { ratedHour } from '../../hours'
import { ottrelLookedOver } from '../../lookedOver'
import { stationMeters as m } from '../../meters'
import { ladderByHand, Planner } from '../../plans'
import { bankTruth, pathTruth, stationRigs } from '../../rigs'
import { stationUnits, unitModels } from '../../units'
import { captureInput, captureOutlet, type Files } from '../../waves'
import { document, predictionOf } from '../document'
import { ladderLoads } from './loads'
import { overloadsOf } from './overloads'
import { startsOf } from './starts'
import { besides, wavesOf } from './waves'

/** Hours of launch 2 at each load. */
export const ottrelDuty = [
  { hours: 18, load: 0 },
  { hours: 4, load: 90 },
  { hours: 1.5, load: 420 },
  { hours: 0.5, load: 1200 },
]

/** What the errors of its meters are drawn from. */
export const ottrelSeed = 133

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
  const hand = new BenchHand(ottrelSeed, meters, '2026-03-12T08:05:00.000Z')
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
    duty: ottrelDuty,
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
    [...ottrelLookedOver(files, stationUnits.ottrel, rig), ...entries, ...hour, ...waves, ...day.log].sort(
      (a, b) => a.at.localeCompare(b.at),
    ),
  )
}
