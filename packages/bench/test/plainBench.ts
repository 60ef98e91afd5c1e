import type { Entry, Revision, Trial } from '@even-watt/contract'
import { viewTrial, type TrialView } from '@even-watt/core'
import {
  bankTruth,
  pathTruth,
  shelf,
  stationBanks,
  stationMeters as m,
  stationRigs,
  type BenchHand,
  type BenchModel,
} from '../src'

/** The station's 24 V bench without thermometer and scope, for simulating it many times. */
export const meters = [m.dmm1, m.dmm2, m.shunt, m.ammeter, m.wattmeter]
export const rig = {
  ...stationRigs.l24,
  assignments: stationRigs.l24.assignments.filter(({ quantity }) => quantity !== 'T' && quantity !== 'THD'),
}
export const loads = [
  [shelf.mat],
  [shelf.lamps(2)],
  [shelf.plateLow],
  [shelf.plateHigh],
  [shelf.ovenLow, shelf.waxBath],
  [shelf.rod, shelf.plateLow, shelf.mat],
]

export const benchOf = (unit: BenchModel['unit'], lug = 0.0002): BenchModel => ({
  bank: bankTruth(stationBanks.l24),
  path: pathTruth(rig, { 'negative lug': lug }),
  unit,
})

/** A trial of one unit, each bench one revision of its rig: idle, then the ladder, each step read so many times. */
export function trialOn(
  hand: BenchHand,
  benches: readonly BenchModel[],
  unit: Revision['unit'],
  repeats: number,
): TrialView {
  const startedAt = '2026-03-12T08:00:00.000Z'
  const revisions = benches.map((_, i): Revision => ({
    number: i + 1,
    why: 'simulated',
    madeAt: startedAt,
    unit,
    rig,
    meters,
  }))
  const trial: Trial = {
    id: hand.newId(),
    version: 1,
    startedAt,
    title: 'simulated',
    by: 'R.O.',
    hold: 600,
    duty: [],
    limiters: [],
    revisions,
  }
  const entries = benches.flatMap((bench, i): Entry[] => [
    hand.noLoad(bench, rig, i + 1),
    ...loads.flatMap((load) => hand.step(bench, rig, i + 1, load, { repeats })),
  ])
  return viewTrial(trial, entries)
}
