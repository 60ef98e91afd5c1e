import type { Load, Unit } from '@even-watt/contract'
import { isFigure, say, type Derived } from '../figures'
import { carriedAt } from '../facts'
import { claimedValue, ratedPower } from '../units'
import type { Analysis } from '../trials'
import { nameOfWho } from './ended'

type Attempt = Analysis['motors']['attempts'][number]

/** A continuous rating a quarter above what runs for hours, as one buys. */
const spare = 1.25

const valueOf = (figure: Derived): number | undefined => (isFigure(figure) ? figure.x.value : undefined)
const percent = (share: number) => say(100 * share, '%', 2)

/**
 * What follows from one attempt, in sentences: its running power, its start against it, the label and the leg, the dip on either
 * side, and what a machine like it wants (docs/method/motors.md).
 */
export function attemptWords(attempt: Attempt, analysis: Analysis, shelf: readonly Load[] = []): string[] {
  const { unit } = analysis.record.revision
  const load = shelf.find(
    ({ name }) => name.trim().toLowerCase() === attempt.entry.reading.load.trim().toLowerCase(),
  )
  return [
    ...runningWords(attempt, unit),
    ...nameplateWords(attempt, load),
    ...startWords(attempt, unit),
    ...legWords(attempt, unit),
    ...dipWords(attempt, analysis),
    ...wantWords(attempt),
    ...causeWords(attempt),
  ]
}

function runningWords({ entry: { reading }, running, nominal }: Attempt, unit: Unit): string[] {
  const [amps, watts] = [valueOf(running), reading.runningWatts]
  const VA = amps === undefined ? undefined : amps * nominal
  const rated = ratedPower(unit)
  const said =
    watts !== undefined && VA !== undefined && amps !== undefined
      ? [
          watts > 1.05 * VA
            ? `Running: ${say(watts, 'W')} at ${say(amps, 'A')} cannot be: ${say(VA, 'VA')} is the most at ${say(nominal, 'V')}.`
            : `Running: ${say(watts, 'W')} at ${say(amps, 'A')}, ${say(VA, 'VA')} at ${say(nominal, 'V')}: power factor ${say(Math.min(1, watts / VA), '', 2)}.`,
        ]
      : VA === undefined || amps === undefined
        ? []
        : [`Running: ${say(amps, 'A')}, ${say(VA, 'VA')} at ${say(nominal, 'V')}.`]
  const power = watts ?? VA
  return [
    ...said,
    ...(power === undefined || rated === undefined
      ? []
      : [
          power <= rated
            ? `That is ${percent(power / rated)} of its rated ${say(rated, 'W')}; ${say(rated - power, 'W')} are left.`
            : `That is ${say(power - rated, 'W')} over its rated ${say(rated, 'W')}: do not let it run on.`,
        ]),
  ]
}

/** Amps that may be off a nameplate before something is odd. */
const nameplateOff = 0.15

function nameplateWords({ running, nominal, entry }: Attempt, load: Load | undefined): string[] {
  const plate = load?.nameplate?.current
  const amps = valueOf(running)
  if (!load || plate === undefined || amps === undefined) return []
  const watts = entry.reading.runningWatts
  const share = amps / plate
  return [
    `It runs at ${percent(share)} of the ${say(plate, 'A')} on its nameplate${
      share > 1 + nameplateOff
        ? ': overloaded, or its volts are low.'
        : share < 1 - nameplateOff
          ? ': it is not fully loaded.'
          : ': as it should.'
    }`,
    ...(watts === undefined
      ? []
      : [
          `By its nameplate it takes ${say(plate * load.volts, 'VA')}; read were ${say(amps * nominal, 'VA')} and ${say(watts, 'W')}.`,
        ]),
  ]
}

/** W or VA of the start, whichever is known. */
const peakOf = ({
  VA,
  watts,
  current,
  nominal,
}: Attempt): { value: number; unit: 'VA' | 'W' } | undefined => {
  const [volt, watt, amp] = [valueOf(VA), valueOf(watts), valueOf(current)]
  if (volt !== undefined) return { value: volt, unit: 'VA' }
  if (watt !== undefined) return { value: watt, unit: 'W' }
  return amp === undefined ? undefined : { value: amp * nominal, unit: 'VA' }
}

function startWords(attempt: Attempt, unit: Unit): string[] {
  const peak = peakOf(attempt)
  if (!peak) return []
  const running = attempt.entry.reading.runningWatts
  const promised = claimedValue(unit, 'surge power')
  return [
    ...(running !== undefined && peak.value > running
      ? [
          `It starts with ${say(peak.value, peak.unit)}, ${say(peak.value / running, '', 2)} times what it takes running.`,
        ]
      : []),
    ...(promised === undefined
      ? []
      : [
          `Its start took ${say(peak.value, peak.unit)}: ${percent(peak.value / promised)} of the promised surge of ${say(promised, 'W')}.`,
        ]),
  ]
}

/** Amps of a leg against what is rated for one: half of the whole, on half of the volts. */
function legWords({ entry: { reading }, current, nominal }: Attempt, unit: Unit): string[] {
  const rated = ratedPower(unit)
  const amps = valueOf(current)
  if (unit.phase !== 'split' || rated === undefined || amps === undefined) return []
  const leg = reading.leg === 'L1' || reading.leg === 'L2' ? reading.leg : undefined
  const ratedAmps = rated / unit.outputVoltage
  const surge = claimedValue(unit, 'surge power')
  return [
    `${leg ?? 'A leg'} carried ${say(amps, 'A')}, ${say((amps * nominal) / 1000, 'kVA')}: ${say(amps / ratedAmps, '', 2)} times the ${say(ratedAmps, 'A')} that one leg is rated for.`,
    ...(surge === undefined
      ? []
      : [
          `Of the promised surge one leg has ${say(surge / 2000, 'kVA')}: this was ${percent((2 * amps * nominal) / surge)} of it.`,
        ]),
  ]
}

function dipWords({ lowest, lowestInput, inputBefore, nominal }: Attempt, { noLoad }: Analysis): string[] {
  const [out, into] = [valueOf(lowest), valueOf(lowestInput)]
  const none = valueOf(noLoad.on.read.V_C)
  const before = none !== undefined && Math.abs(none / nominal - 1) < 0.2 ? none : nominal
  return [
    ...(out === undefined || out >= before
      ? []
      : [
          `Its output fell to ${say(out, 'V')}: ${percent(1 - out / before)} under ${before === none ? 'no load' : 'nominal'}.${
            out < carriedAt * nominal ? ' Sensitive electronics beside it may drop out.' : ''
          }`,
        ]),
    ...(into === undefined || inputBefore === undefined || into >= inputBefore
      ? []
      : [
          `Its input fell from ${say(inputBefore, 'V', 4)} to ${say(into, 'V', 4)}: ${percent(1 - into / inputBefore)}.`,
        ]),
  ]
}

/** The smallest label that satisfies running and start. */
function wantWords(attempt: Attempt): string[] {
  const running = attempt.entry.reading.runningWatts
  const peak = peakOf(attempt)
  if (attempt.outcome !== 'started' || running === undefined || !peak || peak.value <= running) return []
  const [continuous, surge] = [spare * running, peak.value]
  return [
    `For it alone buy ${say(continuous, 'W', 2)} or more for good and ${say(surge, 'VA', 2)} for the start: the start decides.`,
  ]
}

/** What may have kept it from running, and what tells them apart. */
function causeWords({ outcome, ended, lowest, lowestInput, entry: { reading } }: Attempt): string[] {
  if (outcome === 'started') return []
  const open = [
    isFigure(lowest) ? undefined : 'lowest volts at the outlet (a sag there: the unit, or a cord)',
    isFigure(lowestInput) ? undefined : 'lowest volts at the terminals (a sag there: bank and leads)',
    reading.opened === undefined ? 'what opened (a fuse, a breaker, the BMS)' : undefined,
  ].filter((one) => one !== undefined)
  const who = ended && ended.who !== 'meter' ? [`By what was read it was ${nameOfWho[ended.who]}.`] : []
  const heat =
    outcome === 'tripped' && /hot|heat|warm|cool/i.test(`${reading.state ?? ''} ${reading.note ?? ''}`)
      ? ['That it came back after cooling speaks for heat; this is inferred, not measured.']
      : []
  return [
    ...who,
    ...heat,
    ...(open.length ? [`To tell surge, supply and cord apart read: ${open.join('; ')}.`] : []),
  ]
}
