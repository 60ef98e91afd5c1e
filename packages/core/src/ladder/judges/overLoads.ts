import { decides, isFigure, say, sayFigure, type Derived } from '../../figures'
import { judgeFigure, nearlyAll, notShown, promisedLoad, type Evidence, type Verdict } from '../../findings'
import { atThreshold } from '../atThreshold'
import type { StepFigures } from '../step'
import { worst, type Extreme, type Look } from './extreme'

/**
 * A promise over the loads, judged by what was furthest out, and where that was: it is shown only with nearly all that the
 * unit is rated for, and broken at any load with an input over where the unit warns (docs/method/ladder.md). Undefined: it
 * was not read.
 */
export function overLoads(evidence: Evidence, look: Look, what: string): Verdict | undefined {
  const extreme = worst(evidence, look)
  if (!extreme) return undefined
  const verdict = judgedWhere(evidence, extreme, what)
  const { outcome, sentence } = verdict
  if (outcome.startsWith('not met')) {
    const { unit } = evidence.analysis.record.revision
    const low = (step: StepFigures) => atThreshold(step, unit)
    if (!extreme.at || !low(extreme.at)) return verdict
    const sound = worst(evidence, look, (step) => !low(step))
    const own = sound && judgedWhere(evidence, sound, what)
    if (own?.outcome.startsWith('not met')) return own
    return notShown(
      evidence,
      'supply',
      `${sentence} Its input was down to where it warns or stops.`,
      'A stiffer bank or shorter leads would show it.',
      extreme.figure,
    )
  }
  const short = outcome.startsWith('met') ? shortOfAll(evidence, look.of) : undefined
  return short ? notShown(evidence, 'load', `${sentence} ${short.why}`, short.would, extreme.figure) : verdict
}

function judgedWhere(evidence: Evidence, { figure, at }: Extreme, what: string): Verdict {
  const verdict = judgeFigure(evidence, figure, what)
  if (verdict.outcome === 'not tested') return verdict
  const where = at
    ? `at ${[at.load, isFigure(at.P_C) && sayFigure(at.P_C)].filter(Boolean).join(', ')}`
    : 'at no load'
  return { ...verdict, sentence: `${verdict.sentence.slice(0, -1)}, ${where}.` }
}

/** How far the loads that were read fall short of what a promise is for; undefined: they do not. */
export function shortOfAll(
  evidence: Evidence,
  of: (step: StepFigures) => Derived,
): { readonly why: string; readonly would: string } | undefined {
  const all = promisedLoad(evidence)
  const would = `Read it at ${all === undefined ? 'the largest load there is' : say(all, 'W')}.`
  const loaded = evidence.analysis.ladder.steps.filter((step) => step.carried && decides(of(step)))
  if (!loaded.length) return { why: 'It was read at no load only.', would }
  const most = Math.max(...loaded.flatMap(({ P_C }) => (isFigure(P_C) ? [P_C.x.value] : [])))
  if (all === undefined || most >= all * nearlyAll) return undefined
  const why =
    most > 0
      ? `The loads that it was read at went up to ${say(most, 'W')} of ${say(all, 'W')}.`
      : 'How many watts were on is not known.'
  return { why, would }
}
