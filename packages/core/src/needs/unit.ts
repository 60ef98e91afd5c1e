import type { Load } from '@even-watt/contract'
import { isFigure, plain, say } from '../figures'
import { efficiencyAt, hasFit, lossAt, reachesOutside, type LossFit } from '../ladder'
import { carriesFor, startGround, willItStart, type StartAnswer } from '../limits'
import type { Analysis } from '../trials'
import { ratedPower } from '../units'
import { needOf, type NeedLine, type OwnNeed } from './need'

interface Carries {
  readonly answer: 'yes' | 'no' | 'not shown'
  readonly why: string
}

/** What the owner's loads are made for. */
export interface Mains {
  readonly volts: number
  readonly hertz: number
}

export interface UnitForNeed {
  readonly mains: Carries
  readonly carries: Carries
  /** Machines that start harder than they run, each beside everything else. */
  readonly starts: readonly { readonly name: string; readonly found: StartAnswer }[]
  /** Share of what it takes that reaches the outlet with everything on at once; undefined: its losses there are not known. */
  readonly atPeak: number | undefined
  /** Wh from the bank in a day, the unit's own draw in all 24 hours included; why not, where it is not known. */
  readonly fromBank: number | { readonly missing: string }
  readonly verdict: 'fits' | 'does not fit' | 'not known'
}

/**
 * Whether a tested unit does what an owner needs, on the rig it was tested on. What nobody put on it is "not shown": it is
 * never called able or unable. See docs/method/needs.md.
 */
export function unitForNeed(
  need: OwnNeed,
  lines: readonly NeedLine[],
  analysis: Analysis,
  wanted: Mains,
): UnitForNeed {
  const mains = suitsMains(wanted, analysis)
  const ground = startGround(analysis)
  const carries = carriesAll(need, analysis)
  const starts = lines.flatMap((line) =>
    line.inrush !== undefined && line.inrush > 1 && line.watts > 0 && line.hours > 0
      ? [
          {
            name: line.name,
            found: willItStart(asLoad(line, analysis), ground, Math.max(0, need.peak - line.watts)),
          },
        ]
      : [],
  )
  const answers = [mains.answer, carries.answer, ...starts.map(({ found }) => found.answer)]
  return {
    mains,
    carries,
    starts,
    atPeak: efficiencyAtPeak(need, analysis),
    fromBank: fromBank(need, analysis),
    verdict: answers.includes('no')
      ? 'does not fit'
      : answers.every((answer) => answer === 'yes')
        ? 'fits'
        : 'not known',
  }
}

/** Volts of an outlet may be so far from those that a load is made for. */
const nearVolts = 0.1

function suitsMains({ volts, hertz }: Mains, { record }: Analysis): Carries {
  const { outputVoltage, outputFrequency, phase } = record.revision.unit
  const gives = phase === 'split' ? [outputVoltage, 2 * outputVoltage] : [outputVoltage]
  const why = `It gives ${gives.map(plain).join(' and ')} V, ${plain(outputFrequency)} Hz.`
  if (!gives.some((one) => Math.abs(one / volts - 1) <= nearVolts)) return { answer: 'no', why }
  return outputFrequency === hertz
    ? { answer: 'yes', why }
    : {
        answer: 'not shown',
        why: `${why} What is made for ${plain(hertz)} Hz may not run on it as it should.`,
      }
}

/** s that the heaviest part of a day lasts, at most as long as anybody holds a load to show it. */
const longEnough = 600

/** Whether everything at once is carried, as the court holds any promise of power. */
function carriesAll({ peak, parts }: OwnNeed, analysis: Analysis): Carries {
  const heaviest = parts.find(({ watts }) => watts >= peak)?.hours ?? 0
  const verdict = carriesFor(peak, Math.min(longEnough, Math.max(60, heaviest * 3600)), analysis)
  const over = overRating(peak, analysis)
  const { outcome, figure, sentence } = verdict
  const at = figure && isFigure(figure) ? say(figure.x.value, 'W') : ''
  if (outcome === 'met' || outcome === 'met, within uncertainty')
    return { answer: 'yes', why: `${at} was carried.` }
  if (outcome === 'not met') return { answer: 'no', why: `It gave out at ${at}.` }
  return over === undefined ? { answer: 'not shown', why: sentence } : { answer: 'no', why: over }
}

/** What its own label does not promise nobody need try: by how much that is too little, in a sentence. */
function overRating(watts: number, { record }: Analysis): string | undefined {
  const rated = ratedPower(record.revision.unit)
  return rated !== undefined && watts > rated
    ? `Its label promises ${say(rated, 'W')}: ${say(watts - rated, 'W')} too little.`
    : undefined
}

/** Each of the owner’s loads by itself. */
export const eachAlone = (
  lines: readonly NeedLine[],
  analysis: Analysis,
): readonly { readonly name: string; readonly carries: Carries }[] =>
  lines
    .filter(({ watts, hours }) => watts > 0 && hours > 0)
    .map((line) => ({ name: line.name, carries: carriesAll(needOf([line]), analysis) }))

const asLoad = ({ name, watts, inrush }: NeedLine, { record }: Analysis): Load => ({
  name,
  kind: 'induction motor',
  volts: record.revision.unit.outputVoltage,
  settings: [{ id: record.revision.unit.id, name, watts }],
  loud: false,
  ...(inrush === undefined ? {} : { inrush }),
})

function efficiencyAtPeak({ peak }: OwnNeed, { ladder: { unitFit } }: Analysis): number | undefined {
  return peak > 0 && hasFit(unitFit) && !reachesOutside(unitFit, [peak])
    ? efficiencyAt(unitFit, peak).value
    : undefined
}

/** Over the day’s parts: what reaches the outlet and what the unit keeps. */
function fromBank({ parts }: OwnNeed, analysis: Analysis): UnitForNeed['fromBank'] {
  const { unitFit } = analysis.ladder
  const idle = analysis.noLoad.on.P_idle
  if (!parts.some(({ watts }) => watts > 0)) return { missing: 'Nothing runs.' }
  if (!hasFit(unitFit))
    return { missing: 'Its losses are not known: three steps or more that follow one curve are needed.' }
  if (parts.some(({ watts, hours }) => watts === 0 && hours > 0) && !isFigure(idle))
    return { missing: 'Its idle draw was not read.' }
  let sum = 0
  for (const { watts, hours } of parts) {
    const kept = keptAt(watts, unitFit, isFigure(idle) ? idle.x.value : undefined)
    if (kept !== undefined) sum += hours * (watts + kept)
    else if (hours > 0)
      return {
        missing: `Its losses are known from ${say(unitFit.low, 'W')} to ${say(unitFit.high, 'W')} only.`,
      }
  }
  return sum
}

/** W that a unit keeps at a load; under its lightest step straight between what it drew with nothing connected and there. */
function keptAt(watts: number, fit: LossFit, idle: number | undefined): number | undefined {
  if (watts === 0) return idle
  if (!reachesOutside(fit, [watts])) return lossAt(fit, watts).value
  return watts < fit.low && idle !== undefined
    ? idle + (lossAt(fit, fit.low).value - idle) * (watts / fit.low)
    : undefined
}
