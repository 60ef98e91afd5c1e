import { decides, isFigure, say, sayFigure, type Figure } from '../figures'
import { expanded } from '../meters'
import { weakestLinks, type LinkRating } from '../rigs'
import { readingsOf, type Analysis } from '../trials'
import { claimedValue } from '../units'
import type { AttemptFigures } from './attempt'
import { inputGone } from './values'

export const culprits = ['protection', 'supply', 'unit', 'machine', 'cannot tell'] as const

/** As a tester says it. */
export const nameOfWho: Readonly<Record<(typeof culprits)[number], string>> = {
  protection: 'a protective device opened',
  supply: 'the supply gave out',
  unit: 'the unit gave out',
  machine: 'the machine itself',
  'cannot tell': 'by whom cannot be told',
}

/** Who stopped a start, by what evidence, and what to do. */
export interface Culprit {
  readonly who: (typeof culprits)[number]
  readonly sentence: string
  readonly todo: string
}

type Look = (attempt: AttemptFigures, analysis: Analysis) => Culprit | undefined

/**
 * Who stopped a start that failed or came late, in this order (docs/method/motors.md): a protective device opened; the input
 * fell to where the unit warns or stops; the output folded, or was switched off, while the input stood; the output stood and
 * the machine did not turn; else it cannot be told, and what would tell. Of one that started in time, only whether the output
 * folded under it; undefined where it did not.
 */
export function whoStopped(attempt: AttemptFigures, analysis: Analysis): Culprit | undefined {
  if (attempt.outcome === 'started') return byFolding(attempt, analysis)
  for (const look of [byProtection, bySupply, byFolding, bySwitchingOff, byMachine]) {
    const culprit = look(attempt, analysis)
    if (culprit) return culprit
  }
  return cannotTell(attempt)
}

const opens: ReadonlySet<string> = new Set(['fuse', 'breaker', 'BMS'])

/** Devices that the current at the worst moment exceeds, the one with least margin first. */
function exceeded(attempt: AttemptFigures, { record }: Analysis): LinkRating[] {
  const { inputCurrent } = attempt
  if (inputCurrent === undefined) return []
  return weakestLinks(record.revision.rig, inputCurrent).filter(
    ({ kind, margin }) => opens.has(kind) && margin !== undefined && margin < 0,
  )
}

const byProtection: Look = (attempt, analysis) => {
  const { seen, entry, inputCurrent } = attempt
  const { opened, lowestInput, outcome } = entry.reading
  const named = opened === 'fuse' || opened === 'breaker' || opened === 'BMS' ? opened : undefined
  const { inputVoltage } = analysis.record.revision.unit
  // A lowest value of next to nothing is what a meter keeps once the path is open.
  const inputLost =
    seen?.inputGone ??
    (outcome !== 'stalled' && lowestInput !== undefined && lowestInput < inputGone * (inputVoltage ?? 0))
  if (!named && !inputLost) return undefined
  const beyond = exceeded(attempt, analysis)
  const over = beyond.find(({ kind }) => kind === named) ?? beyond[0]
  const carried =
    over && inputCurrent !== undefined
      ? ` ${say(inputCurrent, 'A')} flowed, and the ${over.name} is rated ${say(over.continuous ?? 0, 'A')}.`
      : ''
  const lost = inputLost
    ? ' The volts at the terminals were gone, so the path had opened before the unit.'
    : ''
  return {
    who: 'protection',
    sentence: `${named ? `The ${named} opened.` : 'A protective device opened.'}${lost}${carried}`,
    todo: `${named || over ? '' : 'Find out which: fuse, breaker or BMS. '}Protection and cable for this current, or a lighter start, would show what the unit does.`,
  }
}

/** Input volts at which it stops, or else warns: as it was seen to, else as its label says. */
function threshold({ record }: Analysis): { volts: number; words: string } | undefined {
  const { unit } = record.revision
  const seen = readingsOf(record, 'limit')
    .flatMap(({ reading }) =>
      reading.test === 'threshold' && reading.which !== 'reconnect' ? [reading.V_B] : [],
    )
    .sort((a, b) => b - a)[0]
  if (seen !== undefined)
    return { volts: seen, words: `the ${say(seen, 'V')} at which it was seen to warn or stop` }
  const alarm = claimedValue(unit, 'alarm voltage')
  const cutoff = claimedValue(unit, 'cutoff voltage')
  if (alarm !== undefined) return { volts: alarm, words: `its alarm, ${say(alarm, 'V')}` }
  return cutoff === undefined ? undefined : { volts: cutoff, words: `its cutoff, ${say(cutoff, 'V')}` }
}

const bySupply: Look = (attempt, analysis) => {
  const { lowestInput, inputBefore } = attempt
  const at = threshold(analysis)
  // A meter that is too slow shows at least as much as there truly was: what it shows too low was too low.
  if (!at || !isFigure(lowestInput) || !(lowestInput.x.value <= at.volts + expanded(lowestInput.x)))
    return undefined
  const stiffer =
    inputBefore === undefined
      ? ''
      : ` With half the resistance of bank and path it would have kept ${say((inputBefore + lowestInput.x.value) / 2, 'V')}.`
  return {
    who: 'supply',
    sentence: `${attempt.outcome === 'started late' ? 'The supply held it back' : 'The supply gave out'}: the terminals fell to ${sayFigure(lowestInput)}${inputBefore === undefined ? '' : ` from ${say(inputBefore, 'V', 4)}`}, at ${at.words}.${stiffer}`,
    todo: 'Charge the bank, take a stiffer one or shorter leads, and try again.',
  }
}

const folds = 0.9

/** Input volts known to have stood above where the unit warns or stops. */
function stood({ lowestInput }: AttemptFigures, analysis: Analysis): Figure | undefined {
  const at = threshold(analysis)
  if (!decides(lowestInput) || !at) return undefined
  return lowestInput.x.value > at.volts + expanded(lowestInput.x) ? lowestInput : undefined
}

const larger = 'It asks for a larger unit, a soft starter, or a lighter start.'

const withCurrent = ({ current }: AttemptFigures) =>
  isFigure(current) ? ` with ${sayFigure(current)} flowing` : ''

const byFolding: Look = (attempt, analysis) => {
  const { lowest, nominal } = attempt
  const input = stood(attempt, analysis)
  // Too slow a meter shows at least as many volts as there truly were.
  if (!input || !isFigure(lowest) || !(lowest.x.value + expanded(lowest.x) < folds * nominal))
    return undefined
  return {
    who: 'unit',
    sentence: `The unit’s current limit: its output folded to ${sayFigure(lowest)}, ${percent(lowest.x.value / nominal)} of nominal,${withCurrent(attempt)}, while the terminals kept ${sayFigure(input)}.`,
    todo: larger,
  }
}

const bySwitchingOff: Look = (attempt, analysis) => {
  const { lowest, seen, outcome, lasted, entry } = attempt
  const input = stood(attempt, analysis)
  const tripped = outcome === 'tripped' || outcome === 'tripped and recovered'
  if (!input || !tripped || !(seen || entry.reading.opened === 'the unit')) return undefined
  const after = lasted === undefined ? '' : ` after ${say(lasted, 's')}`
  const output = decides(lowest) ? `, the output ${sayFigure(lowest)} until then` : ''
  return {
    who: 'unit',
    sentence: `The unit switched itself off${after}${withCurrent(attempt)}: its overload protection. The terminals kept ${sayFigure(input)}${output}.`,
    todo: larger,
  }
}

const byMachine: Look = ({ lowest, nominal, outcome }) => {
  if (outcome !== 'stalled' && outcome !== 'started late') return undefined
  if (!decides(lowest) || lowest.x.value - expanded(lowest.x) < folds * nominal) return undefined
  return {
    who: 'machine',
    sentence: `The machine: the output stood at ${sayFigure(lowest)} and more, and it ${outcome === 'stalled' ? 'did not turn' : 'turned late'} all the same.`,
    todo: 'Look at its state: pressure, a blade in the wood, its start capacitor.',
  }
}

/** What would have told, by what is missing. */
function cannotTell({ lowest, lowestInput, fault }: AttemptFigures): Culprit {
  const missing = [
    fault,
    !isFigure(lowestInput)
      ? 'The input volts during it were not read.'
      : lowestInput.refused && `The lowest input volts cannot tell: ${lowestInput.refused.why}`,
    !isFigure(lowest)
      ? 'The output volts during it were not read.'
      : lowest.refused && `The lowest output volts cannot tell: ${lowest.refused.why}`,
  ].filter((one) => typeof one === 'string')
  return {
    who: 'cannot tell',
    sentence: `Who stopped it cannot be told. ${missing[0] ?? 'Neither the input nor the output fell beyond what the readings can tell, and nothing is noted to have opened.'}`,
    todo: 'Capture volts at the outlet and at the terminals, or note what opened.',
  }
}

const percent = (share: number) => `${Math.round(100 * share)} %`
