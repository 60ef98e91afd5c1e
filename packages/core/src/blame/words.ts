import type { Said } from '../court'
import { thresholdOf, type Threshold } from '../facts'
import { formatNumber, isFigure, plain, say, sayDuration, sayFigure, shortened } from '../figures'
import type { LinkRating } from '../rigs'
import type { Analysis } from '../trials'
import type { SupplyEvidence } from '../attribution'
import type { LostPart } from '../attribution'
import { voltsOf, type Losses } from './losses'
import type { Moment } from './moment'
import { stiffEnough } from './stiffEnough'

/** Sentences of who ended something. Nothing is decided here: all come from what the looks found. */

const otherProtection = 'Protection and cable for this current would show it.'

const withInput = ({ V_B }: Moment) => (isFigure(V_B) ? ` with ${sayFigure(V_B)} at the terminals` : '')

export const opened = ({ device, inputGone, amps }: Moment, over: LinkRating | undefined): Said => ({
  why: [
    device ? `The ${device} opened.` : 'A protective device opened.',
    inputGone && 'The volts at the terminals were gone, so the path had opened before the unit.',
    over &&
      amps !== undefined &&
      `${say(amps, 'A')} flowed, and the ${over.name} is rated ${say(over.continuous ?? 0, 'A')}.`,
  ]
    .filter(Boolean)
    .join(' '),
  would: `${device || over ? '' : 'Find out which: fuse, breaker or BMS. '}${otherProtection}`,
})

export const over = ({ amps = 0 }: Moment, link: LinkRating): Said => ({
  why: `${say(amps, 'A')} is more than the ${link.name} carries (${say(link.continuous ?? 0, 'A')}).`,
  would: otherProtection,
})

const came = (moment: Moment) =>
  `${moment.alarm === 'low voltage' ? 'The low-voltage alarm came' : 'It stopped'}${withInput(moment)}.`

export const badJoint = (
  moment: Moment,
  { attribution }: Losses,
  { part, to }: { part: LostPart; to: number },
): Said => ({
  why: `${came(moment)} ${attribution?.sentence ?? ''}`,
  would: `Remaking the ${part.name} would lift the terminals to about ${say(to, 'V')} and show it.`,
})

export function hotJoint({ became, step }: Moment, { attribution }: Losses, part: LostPart): Said {
  const T = step?.read.T
  const hot = T && isFigure(T) ? `, at ${sayFigure(T)}` : ''
  return {
    why: `${became === 'stopped by hand' ? 'Stopped by hand' : 'The heat alarm came'}${hot}: ${attribution?.sentence ?? ''}`,
    would: `Remaking the ${part.name} would show it.`,
  }
}

/** "the 22.5 V at which it was seen to stop", "its alarm, 21.6 V": where it warns or stops, and how that is known. */
export function sayThreshold({ volts, which, by }: Threshold): string {
  if (by === 'seen')
    return `the ${say(volts, 'V')} at which it was seen to ${which === 'alarm' ? 'warn' : 'stop'}`
  return by === 'label'
    ? `its ${which}, ${say(volts, 'V')}`
    : `the ${say(volts, 'V')} at which it is assumed to warn, for its label names none`
}

export function inputLow(
  moment: Moment,
  { parts, missing }: Losses,
  found: {
    readonly threshold: Threshold | undefined
    readonly who: 'supply' | 'leads'
    readonly record: Analysis['record']
    readonly supply: SupplyEvidence
  },
): Said {
  const { threshold, who, record, supply } = found
  const { before, V_B, became, step } = moment
  const at = threshold && moment.alarm !== 'low voltage' ? `, under ${sayThreshold(threshold)}` : ''
  const from = before === undefined ? '' : ` from ${say(before, 'V', 4)}`
  // Beside a step it is said already that the supply gave out.
  const begins =
    became === 'turned late' ? 'The supply held it back: the' : step ? 'The' : 'The supply gave out: the'
  const said =
    moment.alarm === 'low voltage'
      ? came(moment)
      : `${begins} terminals fell to ${isFigure(V_B) ? sayFigure(V_B) : 'where it warns'}${from}${at}.`
  const half =
    before !== undefined && isFigure(V_B)
      ? ` With half the resistance of bank and path it would have kept ${say((before + V_B.x.value) / 2, 'V')}.`
      : ''
  return {
    why: `${said}${half} ${parts.length > 1 ? missingVolts(parts, missing) : ''}`.trim(),
    would:
      stiffEnough(record, supply, moment) ??
      (who === 'leads'
        ? 'Shorter or thicker leads would show it.'
        : 'A stiffer bank or shorter leads would show it.'),
  }
}

/** Where the volts below rest went, without the unit. */
const missingVolts = (parts: readonly LostPart[], missing: number): string =>
  `Of the ${formatNumber(missing, 2)} V missing there, ${parts
    .slice(0, 3)
    .map((part) => `${formatNumber(voltsOf(part), 2)} V in the ${part.name}`)
    .join(', ')}.`

export function early(moment: Moment, record: Analysis['record']): Said {
  const threshold = thresholdOf(record)
  const over =
    threshold && threshold.by !== 'assumed'
      ? `the ${say(threshold.volts, 'V')} at which it ${threshold.by === 'label' ? 'says it warns' : 'was seen to'}`
      : `its nominal ${say(record.revision.unit.inputVoltage ?? 0, 'V')}`
  return {
    why: `${came(moment)} That is well over ${over}: it warned too early, or its input fell for a moment, or after it was read.`,
    would: 'The lowest V_B while it warns, held by a meter or captured, would tell which.',
  }
}

const larger = 'It asks for a larger unit, a soft starter, or a lighter load.'

export const ownAlarm = ({ alarm, held, became }: Moment): Said => ({
  why: `${became === 'tripped' ? 'It gave up' : 'It warned'} by ${alarm}${held === undefined ? '' : ` after ${sayDuration(held)}`}.`,
  would: larger,
})

/** What is known, after a word that leads to it; nothing where it is not. */
const after = (word: string, known: string): string => known && `${word}${known}`

export function folded({ V_C, nominal, load, V_B, sag }: Moment): Said {
  const kept = isFigure(V_B) ? `, while the terminals kept ${sayFigure(V_B)}` : ''
  if (isFigure(V_C) && V_C.x.value < nominal)
    return {
      why: `The unit’s current limit: its output folded to ${sayFigure(V_C)}, ${Math.round((100 * V_C.x.value) / nominal)} % of nominal${after(', ', load())}${kept}.`,
      would: larger,
    }
  return {
    why: `Its output is ${sag ? sayFigure(sag.off) : 'off'} from what it should be${kept}.`,
    would: larger,
  }
}

export const switchedOff = ({ held, load, V_B, V_C }: Moment): Said => ({
  why: `The unit switched itself off${held === undefined ? '' : ` after ${say(held, 's')}`}${after(' ', load())}: its overload protection. The terminals kept ${isFigure(V_B) ? sayFigure(V_B) : 'their volts'}${isFigure(V_C) ? `, the output ${sayFigure(V_C)} until then` : ''}.`,
  would: larger,
})

export const machine = ({ V_C, became }: Moment): Said => ({
  why: `The machine: the output stood at ${isFigure(V_C) ? sayFigure(V_C) : 'its volts'} and more, and it ${became === 'did not turn' ? 'did not turn' : 'turned late'} all the same.`,
  would: 'Look at its state: pressure, a blade in the wood, its start capacitor.',
})

const further = ({ held }: Moment) => (held === undefined ? '' : ` after ${sayDuration(held)}`)

export const byHand = (moment: Moment): Said => ({
  why: `It was stopped by hand${further(moment)}.`,
  would: 'Let it run on until it stops by itself, or until the time is up.',
})

export const timeUp = (moment: Moment): Said => ({
  why: `It was ended${further(moment)} because its time was up.`,
  would: 'Let it run on until it stops by itself.',
})

export const loadsEnded = (): Said => ({ why: 'The loads ended.', would: 'More load would show it.' })

export const unnamed = ({ load }: Moment): Said => ({
  why: `An alarm came at ${load()}, and which it was is not noted.`,
  would: 'Note what it said, in the words of the manual.',
})

export const unread = ({ load }: Moment): Said => ({
  why: `It tripped${after(' at ', load())}; whether its input had fallen by then is not known.`,
  would: 'Read V_B at the terminals, and note which alarm came.',
})

/** What would have told, by what is missing. */
export function cannotTell({ V_B, V_C }: Moment): Said {
  const missing = [
    !isFigure(V_B)
      ? 'The input volts during it were not read.'
      : V_B.refused && `The lowest input volts cannot tell: ${V_B.refused.why}`,
    !isFigure(V_C)
      ? 'The output volts during it were not read.'
      : V_C.refused && `The lowest output volts cannot tell: ${V_C.refused.why}`,
  ].filter((one) => typeof one === 'string')
  return {
    why: `Who stopped it cannot be told. ${missing[0] ?? 'Neither the input nor the output fell beyond what the readings can tell, and nothing is noted to have opened.'}`,
    would: 'Capture volts at the outlet and at the terminals, or note what opened.',
  }
}

/** Amps as a sentence has them: "with 45 A flowing". */
export const flowing = (amps: number): string => `with ${plain(shortened(amps, 4))} A flowing`
