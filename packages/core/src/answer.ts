import type { Outcome } from '@even-watt/contract'
import { attributeStep } from './attribution'
import { isMet } from './court'
import { withoutAmmeter } from './evidence'
import { isFigure, say, sayDuration } from './figures'
import type { ClaimFindings } from './judge'
import type { Analysis } from './trials'
import { sayClaim } from './units'

/** What a trial answers, before any figure: how its claims stand, and what was wrong on the bench. */
export interface Answer {
  readonly claims: string
  /** A sentence for each rig on which a part took more than it should; all claims may have passed. */
  readonly bench: readonly string[]
}

const groups: readonly (readonly [words: string, outcomes: readonly Outcome[]])[] = [
  ['met', ['met', 'met, within uncertainty']],
  ['not met', ['not met', 'not met, within uncertainty']],
  ['not shown', ['not shown']],
  ['not tested', ['not tested']],
]

/** The answer of a trial, from its findings and what was measured on each rig. */
export const answerOf = (findings: readonly ClaimFindings[], analyses: readonly Analysis[]): Answer => ({
  claims: claimsSentence(findings),
  bench: analyses.flatMap((analysis, i) => benchSentence(analysis, analyses.slice(i + 1))),
})

function claimsSentence(findings: readonly ClaimFindings[]): string {
  if (!findings.length) return 'The unit makes no claim, so there is nothing to judge.'
  const counted = groups
    .map(([words, outcomes]) => ({
      words,
      here: findings.filter(({ standing }) => outcomes.includes(standing.outcome)),
    }))
    .filter(({ here }) => here.length)
  const all = counted.length === 1 ? counted[0]?.words : undefined
  const counts = all
    ? ofAll(findings.length, all)
    : `Of ${findings.length} claims ${counted.map(({ words, here }) => `${here.length} ${here.length === 1 ? 'is' : 'are'} ${words}`).join(', ')}.`
  const missed = counted.find(({ words }) => words === 'not met')?.here ?? []
  return [
    counts,
    naming('Not met: ', missed, barely('not met, within uncertainty', ', within uncertainty')),
    naming(
      'Met only within uncertainty: ',
      findings.filter(({ standing }) => standing.outcome === 'met, within uncertainty'),
    ),
    ...findings.flatMap(({ standing, continuousAfter }) =>
      continuousAfter !== undefined && isMet(standing.outcome)
        ? [`Continuous power counts here after ${sayDuration(continuousAfter)}.`]
        : [],
    ),
  ]
    .filter(Boolean)
    .join(' ')
}

const barely =
  (outcome: Outcome, words: string) =>
  ({ standing }: ClaimFindings): string =>
    standing.outcome === outcome ? words : ''

const naming = (
  words: string,
  of: readonly ClaimFindings[],
  besides: (one: ClaimFindings) => string = () => '',
): string =>
  of.length
    ? `${words}${of.map((one) => `${one.claim.quantity} (${sayClaim(one.claim)}${besides(one)})`).join(', ')}.`
    : ''

/** All stand alike: "All 8 claims are met.", "None of the 8 claims is tested." */
function ofAll(count: number, words: string): string {
  if (count === 1) return `The one claim is ${words}.`
  return words === 'met'
    ? `All ${count} claims are met.`
    : `None of the ${count} claims is ${words.replace('not ', '')}.`
}

/** The part that took clearly more than it should, at the highest current; and whether it was put right later. */
function benchSentence(analysis: Analysis, later: readonly Analysis[]): string[] {
  const found = worstPart(analysis)
  if (!found) return []
  const { part, power } = found
  // What rests on an assumed current is no figure to three digits.
  const guessed = part.watts.grade === 'estimated'
  const excess = part.excess ? say(part.excess.x.value, 'W', guessed ? 2 : 3) : ''
  const many = part.kind === 'joints' && !part.element
  const after = later.find((other) => other.ladder.steps.length)
  const still = after && worstPart(after)?.part.name === part.name
  // What only a survey tells apart nobody can say to be well where none was made.
  const told = after && (!part.element || still || after.supply.surveys.length > 0)
  const since =
    after && told
      ? ` On rig ${after.record.revision.number} ${many ? 'they' : 'it'} ${still ? (many ? 'still do' : 'still does') : many ? 'no longer do' : 'no longer does'}.`
      : ''
  return [
    `On rig ${analysis.record.revision.number} the ${part.name} took ${guessed ? 'about ' : ''}${excess} more than ${many ? 'they' : 'it'} should at ${power}${guessed ? `, estimated${withoutAmmeter(analysis.record.revision.rig) ? ' without an ammeter' : ''}` : ''}.${since}`,
  ]
}

function worstPart({ ladder, supply, record }: Analysis) {
  const current = (step: (typeof ladder.steps)[number]) => (isFigure(step.read.I) ? step.read.I.x.value : 0)
  const highest = [...ladder.steps].sort((a, b) => current(b) - current(a))[0]
  if (!highest) return undefined
  const part = attributeStep(highest, supply, record.revision.rig).culprit
  const { P_C, read } = highest
  const power = isFigure(P_C) ? say(P_C.x.value, 'W') : isFigure(read.I) ? say(read.I.x.value, 'A') : ''
  return part?.excess ? { part, power } : undefined
}
