import type { Claim, ClaimUnit } from '@even-watt/contract'
import type { Ended } from '../blame'
import { tooMuch } from '../facts'
import {
  court,
  hindrance,
  wordsOf,
  type Asked,
  type Evidence,
  type Hindrance,
  type HindranceCode,
  type Promised,
  type Verdict,
} from '../court'
import type { Figure } from '../figures'
import { expanded } from '../meters'
import type { Analysis } from '../trials'
import { claimValue, sayClaim } from '../units'
import { allAttempts, isMotor, type Attempt } from './attempt'
import * as words from './powerWords'

/** What is asked of an attempt at a power promise. */
export interface AskedOfPower {
  /** W, or VA. */
  readonly wanted: number
  /** How long it is to be carried, s. */
  readonly hold: number
  /** Whether a carried step of which no time was noted was surely held that long. */
  readonly shortEnough: boolean
  /** Whether the promise is for a time only, so that what happens after it says nothing. */
  readonly timed: boolean
}

/** Who ended an attempt, as what stands in its way. Of the unit's own doing nothing does. */
const codes: Readonly<Record<Exclude<Ended['who'], 'unit'>, HindranceCode>> = {
  protection: 'ended by protection',
  joint: 'ended by a joint',
  leads: 'ended by the leads',
  supply: 'ended by the supply',
  machine: 'ended by the machine',
  load: 'ended by the load',
  person: 'ended by a person',
  time: 'ended when time was up',
  meter: 'end not known',
}

/** What an end by others than the unit stands in the way of. */
export const endedByOthers = (ended: Ended | undefined): Hindrance[] =>
  !ended || ended.who === 'unit'
    ? []
    : [hindrance(ended.code === 'alarm not named' ? 'alarm not named' : codes[ended.who], ended.say)]

/**
 * What one attempt says of a power promise (docs/method/findings.md): carried for the time it shows at least its watts; given up
 * before, or at volts that are no longer those of a carried load, at most what its load asked for. It is censored: loads that
 * wanted no more show nothing of more.
 */
export function evidenceOf(attempt: Attempt, asked: AskedOfPower): Evidence[] {
  const { power, most, held, became, sag, ended, watched } = attempt
  const { hold, shortEnough, timed, wanted } = asked
  const step = attempt.step.step.id
  if (sag) {
    // Just what is promised came of it, and not at its volts: that is as sure as the volts are.
    const reached = power.x.value >= wanted * (1 - aboutThere)
    const sagged: Omit<Evidence, 'figure'> = {
      code: 'sagged',
      bound: 'at most',
      hindrances: endedByOthers(ended),
      step,
      found: () => words.sagged(attempt, reached),
    }
    return reached
      ? [{ ...sagged, figure: power, about: Math.max(expanded(power.x), atRating * wanted), surely: true }]
      : [{ ...sagged, figure: most, about: expanded(most.x) }]
  }
  const lasted = held === undefined ? shortEnough && became === 'carried' : held >= hold
  const carried = (hindrances: readonly Hindrance[]): Evidence => ({
    code: 'carried',
    figure: power,
    bound: 'at least',
    hindrances: [...hindrances, ...(watched || !lasted ? [] : [words.notWatched(hold)])],
    step,
    found: () => words.carried(attempt),
  })
  const gaveUp = (hindrances: readonly Hindrance[]): Evidence => ({
    code: became === 'warned' ? 'warned' : 'gave up',
    figure: power,
    bound: 'at most',
    hindrances: [...endedByOthers(ended), ...hindrances],
    about: about(power, wanted),
    step,
    found: () => words.gaveUp(attempt, hold),
  })
  // When a warning came that was noted at a step nobody knows: it does not end it, and does not let it be shown either.
  if (became === 'warned' && attempt.noted && ended?.who === 'unit')
    return [carried([words.warned(attempt, hold)])]
  if (became === 'tripped' || became === 'warned') {
    const before = became === 'tripped' && lasted ? [carried([])] : []
    // Longer than is asked for a time, it says nothing of that time; of a promise for good it does at any time.
    if (before.length && timed) return before
    return [...before, gaveUp(timed && held === undefined ? [words.timeNotNoted(hold)] : [])]
  }
  if (lasted) return [carried([])]
  return [
    carried([
      ...endedByOthers(ended).filter(({ by }) => by === 'joint'),
      held === undefined ? words.timeNotNoted(hold) : words.tooShort(hold, held),
    ]),
  ]
}

/** A failure no further past a promise than this share of it, or than its uncertainty, is one at it: loads come in steps. */
const aboutThere = 0.02
/** Share past a promise up to which a load still stands at it, for what it does to the volts. */
const atRating = tooMuch - 1

const about = ({ x }: Figure, wanted: number): number => Math.max(expanded(x), aboutThere * wanted)

/** The attempts that count for a promise, as evidence. */
const powerEvidence =
  (of: (asked: Asked) => AskedOfPower | undefined, counts: (attempt: Attempt) => boolean) =>
  (asked: Asked): Evidence[] => {
    const question = of(asked)
    return question
      ? allAttempts(asked, question.hold)
          .filter(counts)
          .flatMap((attempt) => evidenceOf(attempt, question))
      : []
  }

const ofPower: readonly ClaimUnit[] = ['W', 'kW', 'VA']

const absent = ({ claim }: Asked) =>
  `${sayClaim(claim)} was not tested: no step has output ${claim.unit === 'VA' ? 'VA' : 'watts'}.`

/**
 * Continuous power is carried for the hold, inside regulation and without an alarm. A motor's trip never judges it.
 */
export const continuousPower: Promised = {
  units: ofPower,
  usual: { unit: 'W', comparator: 'at least' },
  at: 'ladder',
  several: 'attempts',
  room: 'heat',
  leavesOut: ['input', 'room'],
  voltsOf: 'carrying',
  legs: true,
  evidence: powerEvidence(
    ({ claim, settings }) => ({
      wanted: claimValue(claim),
      hold: claim.duration ?? settings.hold,
      shortEnough: false,
      timed: claim.duration !== undefined,
    }),
    ({ step }) => !isMotor(step),
  ),
  absent,
}

/** How long it works over its rated power: a power promise for a time, by the same rules. */
export const overloadTime: Promised = {
  units: ['s', 'min', 'h'],
  usual: { unit: 's', comparator: 'at least' },
  asks: ['load'],
  at: 'limits',
  several: 'attempts',
  room: 'heat',
  voltsOf: 'carrying',
  wanted: ({ claim }) => claim.load ?? 0,
  evidence: powerEvidence(
    ({ claim }) =>
      claim.load === undefined
        ? undefined
        : { wanted: claim.load, hold: claimValue(claim), shortEnough: false, timed: true },
    ({ step }) => !isMotor(step),
  ),
  absent: (asked) =>
    asked.claim.load === undefined ? 'The operating time names no load over the rated power.' : absent(asked),
}

/** Whether so many watts are carried for so many s on a rig, as the court holds any promise of power; with its sentence. */
export function carriesFor(
  watts: number,
  seconds: number,
  analysis: Analysis,
): Pick<Verdict, 'outcome' | 'figure'> & { readonly sentence: string } {
  const claim: Claim = {
    id: 'need',
    quantity: 'continuous power',
    comparator: 'at least',
    value: watts,
    unit: 'W',
    readWhere: 'a need',
  }
  const asked: Asked = { claim, analysis, settings: { hold: seconds }, limiter: undefined }
  const verdict = court(continuousPower, asked)
  return { ...verdict, sentence: wordsOf(verdict, continuousPower, asked).sentence }
}
