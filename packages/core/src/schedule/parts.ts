import type { Block, PlacedPart } from '@even-watt/contract'
import { full, secondsToCharge, surgeAbove, taperFrom, underPower } from '../supply'
import { contentOf, isPowered } from './content'
import { coolEnough, drainRate, leastCharge, secondsDownTo, secondsToCool, type Course } from './course'
import type { Piece, ScheduleQuestion } from './question'
import { formatNumber, sayRise } from '../figures'

export const surgeBelow = 0.3

/** A stretch that a rule asks for. */
export interface Part {
  readonly part: PlacedPart
  readonly because: string
  readonly piece: Piece
  /** A that charge the bank meanwhile. */
  readonly charger: number
}

/** What must come before a block: the stretch, or the sentence that says why it cannot be had. */
export type Need = { readonly part: Part } | { readonly odd: string }

export const percent = (share: number) => `${formatNumber(100 * share, 0)} %`

/** A recharge up to a share, if the charger can. */
export function rechargeTo(
  { bank, charger }: ScheduleQuestion,
  { charge }: Course,
  to: number,
  because: string,
): Part | undefined {
  const seconds = secondsToCharge(bank, charger, charge, to)
  if (!Number.isFinite(seconds) || !(seconds > 0)) return undefined
  return { part: 'recharge', because, piece: { what: 'recharge', seconds, watts: undefined }, charger }
}

/** Share of the bank that some pieces take. */
const taken = (question: ScheduleQuestion, pieces: readonly Piece[], { charge }: Course): number =>
  pieces.reduce(
    (sum, { watts, seconds }) =>
      sum + (watts === undefined ? 0 : drainRate(question, watts, charge) * seconds),
    0,
  )

function drawDown(question: ScheduleQuestion, course: Course, because: string): Part | undefined {
  const watts = Math.max(0, ...question.steps.map((step) => step.watts)) || question.rated
  const seconds = secondsDownTo(question, watts, course.charge, surgeBelow - 0.01)
  if (!Number.isFinite(seconds)) return undefined
  const piece = { what: `draw down at ${formatNumber(watts, 0)} W`, seconds, watts }
  return { part: 'draw down', because, piece, charger: 0 }
}

const neverFalls = 'the support source carries it, so the bank never falls. Switch it off for that.'

/** What the rules of docs/method/schedule.md ask of the bank before a block. */
function bankNeed(question: ScheduleQuestion, block: Block, course: Course): Need | undefined {
  const { charge } = course
  const stands = `it would stand at ${percent(charge)}`
  const recharge = (to: number, because: string): Need => {
    const part = rechargeTo(question, course, to, because)
    if (part) return { part }
    const how = question.charger > 0 ? 'the charger cannot fill it' : 'no charger is stated'
    return { odd: `No recharge before ${block.kind}, though ${because}: ${how}.` }
  }
  if (block.kind === 'motors') {
    return charge < surgeAbove
      ? recharge(taperFrom, `surge tests need more than ${percent(surgeAbove)} in the bank, and ${stands}`)
      : undefined
  }
  if (block.kind === 'motors, bank low') {
    const because = `the repeat wants the bank below ${percent(surgeBelow)}, and ${stands}`
    if (charge <= surgeBelow) return undefined
    const part = drawDown(question, course, because)
    return part ? { part } : { odd: `No draw-down before ${block.kind}, though ${because}: ${neverFalls}` }
  }
  if (block.kind === 'run-down') {
    const P = block.watts ?? question.rated
    if (!Number.isFinite(secondsDownTo(question, P, 1, leastCharge(question))))
      return { odd: `Nothing to run down at ${formatNumber(P, 0)} W: ${neverFalls}` }
    const because = `a run-down starts from a full bank, and ${stands}; above ${percent(taperFrom)} charging tapers`
    return charge < full - 1e-9 ? recharge(full, because) : undefined
  }
  const takes = isPowered(block.kind) ? taken(question, contentOf(block, question, course), course) : 0
  const least = leastCharge(question)
  if (takes <= 0 || charge - takes >= least - 1e-9 || charge >= taperFrom) return undefined
  return recharge(
    taperFrom,
    `${block.kind} takes ${percent(takes)} of the bank, and ${stands}; it is not to go below ${percent(least)}`,
  )
}

/** A that the bank's own protections carry together, at equal shares; Infinity: none is stated. */
const protectedCurrent = ({ bank }: ScheduleQuestion): number =>
  bank.strings.length * Math.min(...bank.strings.flat().map(({ limit }) => limit ?? Infinity), Infinity)

/** What the supply cannot give for a block at all, in a sentence. */
function beyondSupply(question: ScheduleQuestion, block: Block, course: Course): Need[] {
  if (!isPowered(block.kind) || !question.supply) return []
  const most = Math.max(0, ...contentOf(block, question, course).map(({ watts }) => watts ?? 0))
  const point = underPower(question.supply, most + question.loss(most))
  if (!point)
    return [
      { odd: `${formatNumber(most, 0)} W in ${block.kind} is more than this supply can deliver at all.` },
    ]
  const carried = protectedCurrent(question)
  return point.I_bank > carried
    ? [
        {
          odd: `${formatNumber(most, 0)} W in ${block.kind} takes ${formatNumber(point.I_bank, 0)} A of the bank, and its protection (BMS) carries ${formatNumber(carried, 0)} A.`,
        },
      ]
    : []
}

/** All that must come before a block, in order. */
export function needsOf(question: ScheduleQuestion, block: Block, course: Course): Need[] {
  const bank = bankNeed(question, block, course)
  const warm = block.kind === 'rated hold' && course.rise > coolEnough
  const cooling: Need = {
    part: {
      part: 'cool-down',
      because: `a thermal test starts within ${sayRise(coolEnough)} of ambient, and the unit would be about ${sayRise(course.rise)} above it`,
      piece: { what: 'cool-down', seconds: secondsToCool(course.rise), watts: undefined },
      charger: 0,
    },
  }
  return [...(bank ? [bank] : []), ...(warm ? [cooling] : []), ...beyondSupply(question, block, course)]
}
