import {
  bankTruth,
  BenchHand,
  pathTruth,
  stationMeters as m,
  stationRigs,
  stationUnits,
  unitModels,
} from '@even-watt/bench'
import { viewTrial, workOut } from '@even-watt/core'
import { formatVersion, type EntryOf, type Trial, type TrialDocument } from '@even-watt/contract'

/** A ladder of the given size on the stand-in bench. */
export function ladderOf(steps: number, repeats: number): TrialDocument {
  const rig = stationRigs.l24
  const meters = [m.dmm1, m.dmm2, m.shunt, m.ammeter, m.wattmeter, m.scope, m.infrared]
  const bench = { bank: bankTruth(rig.bank), path: pathTruth(rig), unit: unitModels.ottrel }
  const hand = new BenchHand(7, meters, '2026-01-01T00:00:00.000Z')
  const entries: EntryOf<'ladder'>[] = Array.from({ length: steps }, (_, i) => i).flatMap((i) =>
    hand.step(
      bench,
      rig,
      1,
      [{ name: `load ${i}`, kind: 'element', watts: 40 + (1400 * i) / steps, volts: 230 }],
      { repeats },
    ),
  )
  const trial: Trial = {
    id: hand.newId(),
    version: 1,
    title: `Ladder of ${steps} × ${repeats}`,
    by: 'R.O.',
    startedAt: '2026-01-01T00:00:00.000Z',
    hold: 600,
    duty: [],
    limiters: [],
    revisions: [
      {
        number: 1,
        why: 'benchmark',
        madeAt: '2026-01-01T00:00:00.000Z',
        unit: stationUnits.ottrel,
        rig,
        meters,
      },
    ],
  }
  return {
    format: 'even-watt-trial',
    formatVersion,
    madeBy: 'benchmark',
    madeAt: trial.startedAt,
    trial,
    entries: [hand.noLoad(bench, rig, 1), ...entries],
  }
}

/** Works everything out that a page may ask of a trial. */
export function workOutAll({ trial, entries }: Pick<TrialDocument, 'trial' | 'entries'>): void {
  const work = workOut(viewTrial(trial, entries), trial)
  while (!work.next().done);
}
