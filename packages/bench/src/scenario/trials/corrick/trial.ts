import type { Entry, StoredMeter, Trial, TrialDocument } from '@even-watt/contract'
import { BenchHand } from '../../capture'
import { stationMeters as m } from '../../meters'
import { stationRigs } from '../../rigs'
import { stationUnits } from '../../units'
import type { Files } from '../../waves'
import { document } from '../document'
import { charge, sun } from './charging'
import { modesAndNoise } from './modes'
import { plugAndCost, portTests } from './ports'
import { quickRunDown, slowRunDown } from './runDowns'

const meters: StoredMeter[] = [m.plug120, m.wall120, m.usb, m.solar, m.thermocouples, m.sound]

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
  entries.push(...plugAndCost(hand))
  return document(trial, entries)
}
