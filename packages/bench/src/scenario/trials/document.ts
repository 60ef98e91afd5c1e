import {
  formatName,
  formatVersion,
  type Entry,
  type RigChange,
  type Trial,
  type TrialDocument,
} from '@even-watt/contract'
import {
  describeChanges,
  keepPrediction,
  loadsToPredict,
  predictSteps,
  predictSupply,
  viewTrial,
} from '@even-watt/core'
import type { BenchHand } from '../capture'

/** A trial of the demo as it stands in a file. */
export function document(trial: Trial, entries: Entry[]): TrialDocument {
  return {
    format: formatName,
    formatVersion,
    madeBy: 'Even Watt stand-in bench',
    madeAt: '2026-03-20T12:00:00.000Z',
    trial,
    entries,
  }
}

/** What changes are predicted to do, kept before they are made. */
export function predictionOf(
  changes: readonly RigChange[],
  hand: BenchHand,
  trial: Trial,
  entries: readonly Entry[],
): Entry {
  const analysis = viewTrial(trial, entries).analyses[0]
  if (!analysis) throw new Error('A prediction needs a rig.')
  const { rig } = analysis.record.revision
  const supply = predictSupply(rig, analysis.supply, changes)
  const steps = loadsToPredict(analysis.ladder.steps, [], () => 0)
  hand.wait(300)
  return {
    id: hand.newId(),
    revision: 1,
    at: hand.now,
    kind: 'prediction',
    reading: keepPrediction(
      changes,
      describeChanges(rig, changes),
      predictSteps(supply, analysis.supply.known, steps),
      undefined,
    ),
  }
}
