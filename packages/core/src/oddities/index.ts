import type { LadderPlanned } from '@even-watt/contract'
import type { Analysis } from '../ladder'
import type { TrialRecord } from '../trials'
import { noticeOddMeter } from './arbiter'
import { noticeDigitSlip } from './digits'
import { noticeIdleLoad } from './idle'
import {
  noticeCoarse,
  noticeDisplay,
  noticeOutlier,
  noticeRange,
  noticeTiming,
  noticeUnfitMeter,
} from './meters'
import { keptKey, type Notice, type Oddity } from './oddity'
import {
  noticeClaimUnits,
  noticeDcAgainstAc,
  noticeDisclosure,
  noticeEqualCeilings,
  noticeGauge,
  noticeNoFuse,
} from './papers'
import { noticeBankLow, noticeWrongRating } from './plan'
import { noticeImpossibleEfficiency, noticeTerminalsAbovePosts, noticeWattsOverVoltAmperes } from './power'
import {
  noticeEqualWatts,
  noticeInfrared,
  noticeNextAlarm,
  noticeOtherCurrent,
  noticeProtection,
  noticeRestEnergy,
  noticeWarming,
} from './supply'

const notices: readonly Notice[] = [
  noticeImpossibleEfficiency,
  noticeWattsOverVoltAmperes,
  noticeTerminalsAbovePosts,
  noticeIdleLoad,
  noticeUnfitMeter,
  noticeRange,
  noticeTiming,
  noticeDisplay,
  noticeCoarse,
  noticeClaimUnits,
  noticeDigitSlip,
  noticeOutlier,
  noticeDisclosure,
  noticeDcAgainstAc,
  noticeNoFuse,
  noticeEqualCeilings,
  noticeGauge,
  noticeOtherCurrent,
  noticeNextAlarm,
  noticeWarming,
  noticeInfrared,
  noticeEqualWatts,
  noticeProtection,
  noticeRestEnergy,
  noticeOddMeter,
  noticeBankLow,
  noticeWrongRating,
]

/** Everything odd about one revision, most basic first. */
export function notice(analysis: Analysis, plan?: LadderPlanned): Oddity[] {
  const context = { analysis, unit: analysis.record.revision.unit, plan }
  return notices.flatMap((find) => find(context))
}

/** Why the tester kept the readings an oddity is about, when they did. */
export function keptWhy(oddity: Oddity, record: TrialRecord, analysis: Analysis): string | undefined {
  const step = analysis.record.steps.find((candidate) => candidate.id === oddity.at.step)
  const entries = oddity.at.entry ? [oddity.at.entry] : (step?.readings.map((entry) => entry.id) ?? [])
  return entries
    .map((entry) => record.kept.get(keptKey(entry, oddity.number)))
    .find((why) => why !== undefined)
}

export * from './digits'
export * from './oddity'
