import type { OwnAnswer, SuitRule, Trial } from '@even-watt/contract'
import { answerOf } from './answer'
import { criteria } from './comparisons'
import { isFigure, sayFigure, withPoint } from './figures'
import type { ClaimFindings } from './judge'
import { suitsOf, type Suiting } from './suits'
import { readingsOf, type Analysis } from './trials'
import { sayClaim } from './units'
import type { TrialView } from './view'

/** What a trial answers in a few sentences, and what is open. */
export interface Draft {
  /** Up to three: how the promises stand, what it means for the owner, whom it suits. */
  readonly sentences: readonly string[]
  /** What was not tested or not shown, each with what it would take. */
  readonly open: readonly string[]
}

type Owner = Pick<Trial, 'id' | 'title' | 'hold' | 'duty' | 'overruled'>

/** The rig that tells most of the unit: the newest on which anything was read, and not only taken over. */
export const tellingRig = (analyses: readonly Analysis[]): Analysis | undefined =>
  analyses.findLast(
    ({ ladder, noLoad, record }) =>
      ladder.steps.length > 0 ||
      (isFigure(noLoad.on.P_idle) &&
        readingsOf(record, 'no load').some(({ revision }) => revision === record.revision.number)),
  ) ?? analyses.at(-1)

/** Drafts the answer from the findings, the owner’s hours and the uses (docs/method/findings.md). */
export function draftAnswer(
  { findings, analyses }: Pick<TrialView, 'findings' | 'analyses'>,
  trial: Owner,
  rules: readonly SuitRule[],
): Draft {
  const analysis = tellingRig(analyses)
  const { claims } = answerOf(findings, analyses)
  return {
    sentences: [
      ...(findings.length ? [claims] : []),
      ...(analysis ? ownerSentence(analysis, trial) : []),
      ...(analysis ? suitsSentence(suitsOf(rules, { analysis, trial }, trial.overruled)) : []),
    ],
    open: findings.flatMap(openSentence),
  }
}

/** What the owner’s hours cost; without hours, what it draws for nothing. */
function ownerSentence(analysis: Analysis, trial: Owner): string[] {
  const own = { analysis, trial, findings: [], name: '' }
  const of = (key: string) => criteria.find((one) => one.key === key)?.of(own, trial.duty, [own])
  const [lost, eta, idle] = ['day', 'duty', 'idle'].map(of)
  if (lost && eta && isFigure(lost) && isFigure(eta))
    return [
      `Over a usual day ${sayFigure(eta)} of what it takes reaches the outlet. ${sayFigure(lost)} are lost.`,
    ]
  return idle && isFigure(idle) ? [`With nothing connected it draws ${sayFigure(idle)}.`] : []
}

function suitsSentence(lines: readonly Suiting[]): string[] {
  const named = (says: Suiting['says']) =>
    lines
      .filter((line) => line.says === says)
      .map(({ name }) => name)
      .join(', ')
  const [good, bad] = [named('suits'), named('does not suit')]
  const said = [good && `It suits: ${good}`, bad && `${good ? 'it' : 'It'} does not suit: ${bad}`].filter(
    Boolean,
  )
  return said.length ? [`${said.join('; ')}.`] : []
}

/** One promise that is not settled, and what would settle it. */
function openSentence({ claim, standing }: ClaimFindings): string[] {
  const { outcome, wouldShow, sentence } = standing
  if (outcome !== 'not tested' && outcome !== 'not shown') return []
  const promise = `${claim.quantity} (${sayClaim(claim)})`
  return [wouldShow ? `${promise}, ${outcome}: ${wouldShow}` : `${promise}: ${sentence}`]
}

/** One sentence of the evidence that is another now than when the tester wrote. */
export interface Drift {
  readonly then: string | undefined
  readonly now: string | undefined
}

/** Where the evidence has moved since the tester put the answer in words of their own. */
export const driftOf = ({ drafted }: OwnAnswer, { sentences }: Pick<Draft, 'sentences'>): Drift[] =>
  Array.from({ length: Math.max(drafted.length, sentences.length) }, (_, i) => ({
    then: drafted[i],
    now: sentences[i],
  })).filter(({ then, now }) => withPoint(then) !== withPoint(now))
