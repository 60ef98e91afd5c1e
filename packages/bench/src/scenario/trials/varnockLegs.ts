import type { Entry, EntryOf, StoredMeter, Trial, TrialDocument } from '@even-watt/contract'
import type { BenchModel } from '../../ladder/operate'
import { behindOutlets } from '../behindOutlets'
import { BenchHand } from '../capture'
import { shelf } from '../loads'
import { modesOfVarnock } from '../hours'
import { machines, unitLimits } from '../machines'
import { stationMeters as m } from '../meters'
import { bankTruth, pathTruth, stationRigs } from '../rigs'
import { attempt } from '../starts'
import { stationUnits, unitModels } from '../units'
import type { Files } from '../waves'
import { document } from './document'

/** The steriliser on one leg: each leg read by itself, machines by leg, and search mode. */
export function varnockLegs(files: Files = new Map()): TrialDocument {
  const meters: StoredMeter[] = [m.dmm1, m.dmm2, m.shunt, m.ammeter, m.leadClamp]
  const rig = stationRigs.l48Legs
  const bench: BenchModel = { bank: bankTruth(rig.bank), path: pathTruth(rig), unit: unitModels.varnock }
  const startedAt = '2026-03-09T09:00:00.000Z'
  const hand = new BenchHand(4850, meters, startedAt)
  const trial: Trial = {
    id: hand.newId(),
    version: 1,
    title: 'Leg by leg: the Varnock 3600-48',
    by: 'M.K.',
    startedAt,
    purpose: 'What does the steriliser on one leg do to the other?',
    hold: 1800,
    duty: [],
    limiters: [],
    revisions: [
      { number: 1, why: 'On L48, each leg read', madeAt: startedAt, unit: stationUnits.varnock, rig, meters },
    ],
  }
  const entries: Entry[] = [
    hand.makeSafe(stationUnits.varnock, rig, 1, 'M.K.'),
    idle(hand, 'on', 53.2, 0.456),
    idle(hand, 'search', 53.2, 0.096),
  ]
  const { steriliser, heatMat, urn, hotPlateHigh, roomLow, roomHigh } = shelf
  for (const legs of [
    [[heatMat], [heatMat]],
    [[steriliser], [heatMat]],
    [[steriliser], [roomLow]],
    [[steriliser], [roomHigh]],
    [[steriliser, hotPlateHigh], [heatMat]],
  ] as const)
    entries.push(hand.legStep(bench, rig, 1, legs))
  entries.push(
    hand.legStep(
      bench,
      rig,
      1,
      [
        [steriliser, urn],
        [hotPlateHigh, heatMat],
      ],
      { held: 1800, note: 'Carried for half an hour.' },
    ),
  )
  const limits = unitLimits.varnock
  entries.push(
    ...attempt(
      files,
      hand,
      bench,
      machines.bilge,
      { revision: 1, seed: 4601, conditions: { limits, seconds: 1.4 } },
      { number: 1, state: 'primed', leg: 'L1' },
    ),
    ...attempt(
      files,
      hand,
      bench,
      machines.compressor,
      { revision: 1, seed: 4603, conditions: { limits, base: 900, seconds: 2.8 } },
      { number: 2, state: 'tank empty', leg: 'L1', note: 'Steriliser on the same leg.' },
    ),
    ...attempt(
      files,
      hand,
      bench,
      machines.compressor,
      { revision: 1, seed: 4605, conditions: { limits, seconds: 2.4 } },
      { number: 3, state: 'tank empty', leg: 'L2' },
    ),
  )
  entries.push(...behindOutlets(new BenchHand(4880, meters, '2026-03-09T14:30:00.000Z')))
  entries.push(...modesOfVarnock(files, new BenchHand(4870, meters, '2026-03-09T16:00:00.000Z'), 1))
  return document(trial, entries)
}

function idle(hand: BenchHand, mode: 'on' | 'search', volts: number, amps: number): EntryOf<'no load'> {
  hand.wait(300)
  const value = (quantity: 'V_B' | 'I', shown: number, meter: string) => ({
    quantity,
    value: shown,
    grade: 'measured' as const,
    meter,
    at: hand.now,
  })
  return {
    id: hand.newId(),
    revision: 1,
    at: hand.now,
    kind: 'no load',
    reading: { mode, values: [value('V_B', volts, m.dmm1.id), value('I', amps, m.ammeter.id)] },
  }
}
