import type { StoredMeter, Trial, TrialDocument } from '@even-watt/contract'
import { BenchHand } from '../capture'
import { stationMeters as m } from '../meters'
import { chosenLadder, Planner } from '../plans'
import { stationRigs } from '../rigs'
import { stationUnits } from '../units'
import { document } from './document'

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
