import type {
  Entry,
  Revision,
  RigChange,
  StoredMeter,
  StoredRig,
  Trial,
  TrialDocument,
} from '@even-watt/contract'
import type { BenchModel } from '../../ladder/operate'
import type { LoadModel } from '../../loads/law'
import { BenchHand } from '../capture'
import { shelf } from '../loads'
import { start } from '../../motors/start'
import { runDownOfThree } from '../hours'
import { heaters, machines, unitLimits } from '../machines'
import { stationMeters as m } from '../meters'
import { bankTruth, pathTruth, stationBanks, stationRigs } from '../rigs'
import { attempt, captureStarted } from '../starts'
import { stationUnits, unitModels } from '../units'
import { captureOutlet, type Files } from '../waves'
import { document, predictionOf } from './document'

/** Half done: alarm on the tired battery alone, then two steps on three in parallel. */
export function pellamTrial(files: Files = new Map()): TrialDocument {
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
  const pump = attempt(
    files,
    hand,
    alone,
    machines.vacuum,
    { revision: 1, seed: 4501, conditions: { limits: unitLimits.pellam, seconds: 1.6 } },
    { number: 1, state: 'line open' },
  )
  entries.push(...pump)
  const wave = (bench: BenchModel, loads: readonly LoadModel[], read: Entry, name: string, seed: number) =>
    captureOutlet(files, bench, loads, { at: read.at, about: read.id, revision: read.revision, name, seed })
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
  const idle = hand.noLoad(three, rig, 2)
  entries.push(idle, wave(three, [], idle, 'no-load.csv', 4301))
  for (const loads of [[shelf.ovenLow], [shelf.ovenLow, shelf.waxBath]]) {
    const read = hand.step(three, rig, 2, loads, { repeats: 1, held: 600 })
    const watts = loads.reduce((sum, one) => sum + one.watts, 0)
    entries.push(...read, ...read.map((step) => wave(three, loads, step, `step-${watts}.csv`, 4300 + watts)))
  }
  entries.push(...surgeOf(files, hand, three))
  const second: Revision = {
    number: 2,
    why: 'Two younger batteries added in parallel',
    madeAt: joinedAt,
    unit: stationUnits.pellam,
    rig: { ...rig, name: 'G12x3, 25 mm² leads', bank: stationBanks.g12x3 },
    meters,
  }
  entries.push(...runDownOfThree(new BenchHand(6693, meters, '2026-03-20T08:00:00.000Z'), second.rig, 2))
  return document({ ...trial, revisions: [...trial.revisions, second] }, entries)
}

/** The kettle at once: the unit folds, gives what it has, and switches off. */
function surgeOf(files: Files, hand: BenchHand, bench: BenchModel): Entry[] {
  hand.wait(600)
  const started = start(bench, heaters.kettle, { limits: unitLimits.pellam, seconds: 2.6 })
  const over: Entry = {
    id: hand.newId(),
    revision: 2,
    at: hand.now,
    kind: 'limit',
    reading: {
      test: 'overload',
      how: 'raised',
      load: 'kettle',
      watts: 1310,
      lasted: Number(started.lasted.toFixed(1)),
      ended: 'overload',
      comeback: 'by switching off and on',
    },
  }
  return [
    over,
    captureStarted(files, bench, started, {
      about: over.id,
      at: over.at,
      revision: 2,
      seed: 4511,
      name: 'kettle.csv',
    }),
  ]
}
