import type { Entry, StoredMeter, Trial, TrialDocument } from '@even-watt/contract'
import type { BenchModel } from '../../ladder/operate'
import { BenchHand } from '../capture'
import { shelf } from '../loads'
import { ottrelCLookedOver } from '../lookedOver'
import { stationMeters as m } from '../meters'
import { bankTruth, pathTruth, stationRigs } from '../rigs'
import { stationUnits, unitModels } from '../units'
import type { Files } from '../waves'
import { document } from './document'
import { ladderLoads } from './ottrel/loads'
import { ottrelDuty, ottrelSeed } from './ottrel/trial'

/** The later revision of the Ottrel on the same meters and leads: what draws less, what is better, what nobody tried. */
export function ottrelCTrial(files: Files = new Map()): TrialDocument {
  const meters: StoredMeter[] = [m.dmm1, m.dmm2, m.shunt, m.ammeter, m.wattmeter, m.scope, m.infrared]
  const rig = { ...stationRigs.l24, note: 'The leads of launch 2, lugs torqued.' }
  const bench: BenchModel = {
    bank: bankTruth(rig.bank),
    path: pathTruth(rig, { 'negative lug': 0.0002 }),
    unit: unitModels.ottrelC,
  }
  const startedAt = '2026-05-06T08:00:00.000Z'
  // The same meters have the same errors as in spring.
  const hand = new BenchHand(157, meters, startedAt, { bornOf: ottrelSeed })
  const trial: Trial = {
    id: hand.newId(),
    version: 1,
    title: 'Ottrel 1400-24 rev C, lent',
    by: 'R.O.',
    startedAt,
    purpose: 'Is revision C worth changing to?',
    hold: 600,
    duty: ottrelDuty,
    limiters: [],
    revisions: [
      { number: 1, why: 'As it was lent', madeAt: startedAt, unit: stationUnits.ottrelC, rig, meters },
    ],
  }
  const entries: Entry[] = [
    ...ottrelCLookedOver(files, stationUnits.ottrelC),
    hand.makeSafe(stationUnits.ottrelC, rig, 1, 'R.O.'),
    hand.noLoad(bench, rig, 1),
    hand.noLoad(bench, rig, 1),
    ...ladderLoads.flatMap((loads) => hand.step(bench, rig, 1, loads, { celsius: 24 })),
    ...hand.step(bench, rig, 1, [shelf.ovenHigh, shelf.lamps(4)], {
      celsius: 37,
      held: 600,
      note: 'Held for ten minutes; lug at 37 °C.',
    }),
  ]
  return document(trial, entries)
}
