import type { Load } from '@even-watt/contract'
import { deliveredCurve, runDownsOf } from '../endurance'
import { decides, isFigure, plain, say } from '../figures'
import { efficiencyAt, hasFit, lossAt, reachesOutside, type LossFit } from '../ladder'
import { holdsOf, startGround, willItStart, type StartAnswer, type StartGround } from '../limits'
import type { Analysis } from '../trials'
import type { OwnNeed, NeedLine } from './need'

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
  const carries = carriesAll(need, analysis, ground)
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

function carriesAll({ peak }: OwnNeed, analysis: Analysis, { curve }: StartGround): Carries {
  const most = Math.max(
    0,
    // Until it was empty is as long as anybody can ask.
    ...deliveredCurve(runDownsOf(analysis)).map(({ watts }) => watts),
    ...[...analysis.ladder.steps, ...holdsOf(analysis)].flatMap(({ carried, P_C }) =>
      carried && decides(P_C) ? [P_C.x.value] : [],
    ),
  )
  if (most >= peak) return { answer: 'yes', why: `${say(most, 'W')} was carried.` }
  // Gave up for good, by itself, at less than is asked for. While its volts were gone a machine took few watts of it:
  // those say nothing of what it carries.
  const gaveOut = curve.sources.flatMap((source) => {
    const point =
      source.endedBy === 'unit' && source.limited === Infinity
        ? source.over(Math.min(1, source.seconds))
        : undefined
    return point && !point.hollow ? [point.W.x.value] : []
  })
  const [least] = gaveOut.filter((watts) => watts <= peak).sort((a, b) => a - b)
  if (least !== undefined) return { answer: 'no', why: `It gave out at ${say(least, 'W')}.` }
  return {
    answer: 'not shown',
    why: most > 0 ? `Only ${say(most, 'W')} was put on it.` : 'No load was put on it with measured watts.',
  }
}

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
