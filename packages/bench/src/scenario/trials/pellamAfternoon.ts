import type { Entry, StoredMeter, StoredRig, Trial, TrialDocument } from '@even-watt/contract'
import { hangUp, typicalMeter } from '@even-watt/core'
import type { BenchModel } from '../../ladder/operate'
import { BenchHand } from '../capture'
import { shelf } from '../loads'
import { stationMeters as m } from '../meters'
import { bankTruth, pathTruth, stationBanks, stationRigs } from '../rigs'
import { stationUnits, unitModels } from '../units'
import { capturePicture, type Files } from '../waves'
import { document } from './document'

const startedAt = '2026-03-05T13:00:00.000Z'

/**
 * Before the good meters came: volts at the posts on a pocket meter without its manual, the clamp, and the plug wattmeter,
 * which its maker does not allow on this wave. Single readings that drift.
 */
export function pellamAfternoon(files: Files = new Map()): TrialDocument {
  const ids = new BenchHand(6601, [], startedAt)
  const pocket: StoredMeter = {
    ...typicalMeter('hand-held meter, 3½ digits', () => ids.newId()),
    name: 'Pocket meter, manual lost',
    id: ids.newId(),
    version: 1,
    savedAt: startedAt,
  }
  const meters = [pocket, m.clamp, m.wattmeter]
  const rig: StoredRig = {
    ...stationRigs.g12,
    id: ids.newId(),
    name: 'G12, leads as they came, fuse 125 A',
    leads: 'not known',
    positive: stationRigs.g12.positive.filter(({ kind }) => kind === 'fuse'),
    negative: [],
    assignments: [...hangUp(meters, 'the posts'), { quantity: 'idle I', meter: m.clamp.id }],
  }
  const bench: BenchModel = {
    bank: bankTruth(stationBanks.g12),
    path: pathTruth(stationRigs.g12),
    unit: unitModels.pellam,
  }
  const hand = new BenchHand(6602, meters, startedAt, { unrest: { counts: 0.7, drift: 0.008 } })
  const safe = hand.makeSafe(stationUnits.pellam, rig, 1, 'M.K.')
  const idle = hand.noLoad(bench, rig, 1)
  const entries: Entry[] = [
    safe,
    idle,
    capturePicture(files, bench, {
      at: idle.at,
      about: idle.id,
      revision: 1,
      seed: 4401,
      name: 'screen.png',
    }),
  ]
  for (const loads of [[shelf.lamps(2)], [shelf.plateLow], [shelf.ovenLow]]) {
    entries.push(...hand.step(bench, rig, 1, loads, { repeats: 1 }))
  }
  const trial: Trial = {
    id: hand.newId(),
    version: 1,
    title: 'Pellam 900-12, first afternoon',
    by: 'M.K.',
    startedAt,
    purpose: 'Is it worth a closer look?',
    hold: 600,
    duty: [],
    limiters: [],
    revisions: [{ number: 1, why: 'As it came', madeAt: startedAt, unit: stationUnits.pellam, rig, meters }],
  }
  return document(trial, entries)
}
