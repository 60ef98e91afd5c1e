import { readingsOf, type Analysis, type TrialRecord } from '../trials'
import { keptKey, type Oddity } from './oddity'

/** Why the tester kept the readings an oddity is about, when they did. */
export function keptWhy(oddity: Oddity, record: TrialRecord, analysis: Analysis): string | undefined {
  const ofStep = readingsOf(analysis.record, 'ladder').filter(
    ({ reading }) => reading.step === oddity.at.step,
  )
  const entries = oddity.at.entry ? [oddity.at.entry] : ofStep.map(({ id }) => id)
  return entries
    .map((entry) => record.kept.get(keptKey(entry, oddity.number)))
    .find((why) => why !== undefined)
}
