import { carriedAt, lowInput, lowOnSlowMeter, stoodOver, thresholdOf } from '../facts'
import { decides, isFigure } from '../figures'
import { expanded } from '../meters'
import { weakestLinks, type LinkRating } from '../rigs'
import type { Analysis } from '../trials'
import { liftingJoint, lossesAt, pathTookMost, type Losses } from './losses'
import type { Ended, Moment } from './moment'
import * as words from './words'

/** Where the volts went is worked out only by a look that asks. */
type Look = (moment: Moment, analysis: Analysis, lossesHere: () => Losses) => Ended | undefined

const failed = ({ became }: Moment) =>
  became === 'tripped' || became === 'did not turn' || became === 'turned late'

const devices: ReadonlySet<string> = new Set(['fuse', 'breaker', 'BMS'])

/** The device of the path whose rating the amps exceed for as long as they flowed, the tightest first. */
function exceeded({ amps, held }: Moment, { record }: Analysis): LinkRating | undefined {
  if (amps === undefined) return undefined
  return weakestLinks(record.revision.rig, amps).find(
    ({ kind, margin, allowed }) =>
      devices.has(kind) &&
      margin !== undefined &&
      margin < 0 &&
      (allowed ?? 0) <= Math.max(held ?? Infinity, 1),
  )
}

/**
 * A device of the path opened: it was found open, its input was gone before the unit; or more flowed than it carries for so
 * long, and the unit said neither overload nor heat. A device that opens takes its input away, so that the unit may well say
 * low voltage.
 */
const byProtection: Look = (moment, analysis) => {
  const { device, inputGone, alarm, became } = moment
  if (device || inputGone)
    return {
      who: 'protection',
      code: 'device opened',
      say: () => words.opened(moment, exceeded(moment, analysis)),
    }
  const itself = alarm === 'overload' || alarm === 'heat' || moment.notedUnit || moment.inputKept
  const over = became === 'tripped' && !itself ? exceeded(moment, analysis) : undefined
  return over && { who: 'protection', code: 'over a device', say: () => words.over(moment, over) }
}

/** A joint without whose loss the input would have stood; or one that was hot when somebody or the unit stopped. */
const byJoint: Look = (moment, { record }, lossesHere) => {
  const { became, alarm } = moment
  const low = isLow(moment, record)
  const stopped = became === 'stopped by hand' || (became === 'warned' && alarm === 'heat')
  if (!low && !stopped) return undefined
  const losses = lossesHere()
  const lifts = low ? liftingJoint(losses, moment, thresholdOf(record)) : undefined
  if (lifts) return { who: 'joint', code: 'bad joint', say: () => words.badJoint(moment, losses, lifts) }
  const { culprit } = losses.attribution ?? {}
  return stopped && culprit?.excess && culprit.kind === 'joints'
    ? { who: 'joint', code: 'hot joint', say: () => words.hotJoint(moment, losses, culprit) }
    : undefined
}

/** The low-voltage alarm, or an end with the input where the unit warns or stops. */
const isLow = (moment: Moment, record: Analysis['record']): boolean =>
  (moment.alarm === 'low voltage' && !warnedEarly(moment, record)) ||
  ((failed(moment) || moment.became === 'warned' || moment.sag !== undefined) &&
    lowAt(moment, record) !== undefined)

/** Where the unit warns or stops, when the input was down there. */
const lowAt = ({ V_B, swing, extreme }: Moment, record: Analysis['record']) =>
  lowInput(V_B, record, swing) ?? (extreme ? lowOnSlowMeter(V_B, record) : undefined)

/** Share over the volts at which a unit warns that ripple and sag may hide from a meter. */
const hidden = 0.05

/** It warned with an input that was read well over where it warns, or over its nominal where nobody knows that. */
function warnedEarly({ V_B }: Moment, record: Analysis['record']): boolean {
  const threshold = thresholdOf(record)
  if (!threshold || !decides(V_B)) return false
  const nominal = record.revision.unit.inputVoltage ?? Infinity
  const over = threshold.by === 'assumed' ? nominal : threshold.volts * (1 + hidden)
  return V_B.x.value - expanded(V_B.x) > over
}

const bySupply: Look = (moment, { record, supply }, lossesHere) => {
  if (!isLow(moment, record)) return undefined
  const losses = lossesHere()
  const threshold = lowAt(moment, record)
  const code = moment.alarm === 'low voltage' ? 'low-voltage alarm' : 'input low'
  const who = pathTookMost(losses) ? 'leads' : 'supply'
  return { who, code, say: () => words.inputLow(moment, losses, { threshold, who, record, supply }) }
}

const byEarlyAlarm: Look = (moment, { record }) =>
  moment.alarm === 'low voltage' && warnedEarly(moment, record)
    ? { who: 'meter', code: 'alarm early', say: () => words.early(moment, record) }
    : undefined

/** Its own alarms: a station's BMS and breaker are the unit. */
const byOwnAlarm: Look = (moment) => {
  const { alarm } = moment
  if (alarm === 'overload') return { who: 'unit', code: 'overload alarm', say: () => words.ownAlarm(moment) }
  return alarm === 'heat' ? { who: 'unit', code: 'heat alarm', say: () => words.ownAlarm(moment) } : undefined
}

/** Whether the input is known to have stood over where the unit warns or stops; of a station nothing is asked. */
const inputStood = (moment: Moment, { record }: Analysis): boolean =>
  record.revision.unit.kind === 'power station' || stoodOver(moment.V_B, record, moment.swing)

/** The unit's current limit: its output folded, or stands outside what it promises, while its input stood. */
const byFolding: Look = (moment, analysis) => {
  const { V_C, nominal, sag } = moment
  if (!inputStood(moment, analysis)) return undefined
  // Too slow a meter shows at least as many volts as there truly were.
  const folded = isFigure(V_C) && V_C.x.value + expanded(V_C.x) < carriedAt * nominal
  if (!folded && !sag) return undefined
  return { who: 'unit', code: 'output folded', say: () => words.folded(moment) }
}

const bySwitchingOff: Look = (moment, analysis) =>
  moment.became === 'tripped' && moment.wentOut && inputStood(moment, analysis)
    ? { who: 'unit', code: 'switched itself off', say: () => words.switchedOff(moment) }
    : undefined

/** The output stood, and the machine did not turn, or turned late. */
const byMachine: Look = (moment) => {
  const { V_C, nominal, became } = moment
  if (became !== 'did not turn' && became !== 'turned late') return undefined
  if (!decides(V_C) || V_C.x.value - expanded(V_C.x) < carriedAt * nominal) return undefined
  return { who: 'machine', code: 'output stood', say: () => words.machine(moment) }
}

const byAgreement: Look = (moment) => {
  const { became } = moment
  if (became === 'stopped by hand')
    return { who: 'person', code: 'stopped by hand', say: () => words.byHand(moment) }
  if (became === 'time was up') return { who: 'time', code: 'time was up', say: () => words.timeUp(moment) }
  return became === 'loads ended' ? { who: 'load', code: 'loads ended', say: words.loadsEnded } : undefined
}

/** An alarm of which nobody noted what it said. */
const byUnnamedAlarm: Look = (moment) =>
  moment.alarm === 'other'
    ? { who: 'meter', code: 'alarm not named', say: () => words.unnamed(moment) }
    : undefined

/** An end of which the input, or anything else that would tell, is not known. */
const byNobodyYet: Look = (moment) => {
  if (!failed(moment)) return undefined
  return isFigure(moment.V_B)
    ? { who: 'meter', code: 'cannot tell', say: () => words.cannotTell(moment) }
    : { who: 'meter', code: 'input not read', say: () => words.unread(moment) }
}

const looks: readonly Look[] = [
  byProtection,
  byJoint,
  bySupply,
  byEarlyAlarm,
  byUnnamedAlarm,
  byOwnAlarm,
  byFolding,
  bySwitchingOff,
  byMachine,
  byAgreement,
  byNobodyYet,
]

/**
 * Who ended something, by one ordered list of looks, the same for a step, a hold, an overload, a start and a run-down
 * (docs/method/blame.md). Undefined: nothing ended, folded or warned.
 */
export function whoEnded(moment: Moment, analysis: Analysis): Ended | undefined {
  let known: Losses | undefined
  const losses = () => (known ??= lossesAt(moment, analysis))
  for (const look of looks) {
    const ended = look(moment, analysis, losses)
    if (ended) return ended
  }
  return undefined
}
