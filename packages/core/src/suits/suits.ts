import type { Outcome, Overruled, SuitNeed, SuitRule } from '@even-watt/contract'
import { decides, isFigure, plain, sayFigure, sayTemperature, shownFactor } from '../figures'
import { judge } from '../findings'
import { suitMeasures, type SuitAsked } from './figures'

export type Suits = 'suits' | 'does not suit' | 'not known'

/** One use, and how the unit stands to it. */
export interface Suiting {
  readonly name: string
  readonly says: Suits
  /** What the rule says, where the tester said otherwise. */
  readonly drafted: Suits
  /** One for each need, what decides first. */
  readonly reasons: readonly string[]
  /** The tester’s own reason, where it overrules. */
  readonly why: string | undefined
}

/**
 * How a unit stands to each use: it suits where every need is cleared by more than its uncertainty, and does not where
 * one is missed by more; else it is not known, with what to do (docs/method/suits.md). A tester’s own word stands
 * instead, beside what the rule says.
 */
export function suitsOf(
  rules: readonly SuitRule[],
  asked: SuitAsked,
  overruled: readonly Overruled[] = [],
): Suiting[] {
  return rules.map(({ name, needs }) => {
    const answers = needs.map((need) => answerTo(need, asked))
    const drafted: Suits = answers.some(({ is }) => is === 'missed')
      ? 'does not suit'
      : answers.every(({ is }) => is === 'cleared')
        ? 'suits'
        : 'not known'
    const own = overruled.find(({ rule }) => rule === name)
    const order = { missed: 0, open: 1, cleared: 2 } as const
    return {
      name,
      says: own?.says ?? drafted,
      drafted,
      reasons: answers.sort((a, b) => order[a.is] - order[b.is]).map(({ reason }) => reason),
      why: own?.why,
    }
  })
}

interface Answered {
  readonly is: 'cleared' | 'missed' | 'open'
  readonly reason: string
}

const standings: Partial<Record<Outcome, Answered['is']>> = { met: 'cleared', 'not met': 'missed' }

function answerTo({ figure: key, is, value }: SuitNeed, asked: SuitAsked): Answered {
  const measure = suitMeasures[key]
  const { words, unit, todo } = measure
  const limit = `${is} ${unit === '°C' ? sayTemperature(value, 1) : `${plain(value)} ${unit}`}`
  if ('judged' in measure) {
    const { outcome, sentence } = measure.judged(value, asked)
    const standing = standings[outcome] ?? 'open'
    return {
      is: standing,
      reason: `${words}: ${limit} is needed. ${sentence}${outcome === 'not tested' ? ` ${todo}` : ''}`,
    }
  }
  const figure = measure.of(asked)
  if (!isFigure(figure))
    return { is: 'open', reason: `${words}: ${limit} is needed, and it is not known. ${todo}` }
  const said = `${words} ${sayFigure(figure)}, ${limit} is needed`
  const { grade, refused } = figure
  if (!decides(figure))
    return { is: 'open', reason: `${said}; ${refused?.why ?? `it is only ${grade}.`} ${todo}` }
  const standing = standings[judge(figure.x, is, value / shownFactor(figure.unit))] ?? 'open'
  const notYet = standing === 'cleared' ? measure.notYet?.(asked) : undefined
  if (notYet) return { is: 'open', reason: `${said}. ${notYet}` }
  return { is: standing, reason: standing === 'open' ? `${said}: too near to tell.` : `${said}.` }
}
