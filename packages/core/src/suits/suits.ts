import type { Claim, Overruled, SuitNeed, SuitRule } from '@even-watt/contract'
import { court, wordsOf, type Asked } from '../court'
import { plain, sayTemperature } from '../figures'
import { featureOf, hasFeature } from '../units'
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
 * How a unit stands to each use: it suits where the court finds every need kept by more than its uncertainty, and does not
 * where it finds one broken by more; else it is not known, with what to do (docs/method/suits.md). A tester’s own word stands
 * instead, beside what the rule says.
 */
export function suitsOf(
  rules: readonly SuitRule[],
  asked: SuitAsked,
  overruled: readonly Overruled[] = [],
): Suiting[] {
  return rules.map(({ name, needs, features = [] }) => {
    const answers = [
      ...needs.map((need) => answerTo(need, asked)),
      ...features.map((feature) => answerToFeature(feature, asked)),
    ]
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

const hasWords = { has: 'cleared', 'has not': 'missed', 'not known': 'open' } as const

/** What must be there is looked at, not measured: it is as it was noted with the unit. */
function answerToFeature(feature: string, { analysis }: SuitAsked): Answered {
  const { unit } = analysis.record.revision
  const has = hasFeature(unit, feature)
  const found = featureOf(unit, feature)
  const reason = {
    has: `Needed: ${feature}. It has: ${found}.`,
    'has not': `Needed: ${feature}. It has none.`,
    'not known': `Needed: ${feature}. Look whether it has any, and note it with the unit.`,
  }[has]
  return { is: hasWords[has], reason }
}

/** A need is a promise of the tester’s own: the court judges it as any other. */
function answerTo({ figure: key, is, value }: SuitNeed, suit: SuitAsked): Answered {
  const { words, unit, todo, promised: of, stated } = suitMeasures[key]
  const limit = `${words}: ${is} ${unit === '°C' ? sayTemperature(value, 1) : `${plain(value)} ${unit}`} is needed.`
  const asks = stated(value, is, suit)
  if (typeof asks === 'string') return { is: 'open', reason: `${limit} ${asks}` }
  const claim: Claim = { id: 'need', readWhere: 'a need', ...asks }
  const promised = of(suit)
  const asked: Asked = { claim, analysis: suit.analysis, settings: suit.trial, limiter: undefined }
  const verdict = court(promised, asked)
  const { outcome, evidence } = verdict
  if (outcome === 'met' || outcome === 'not met') {
    const found = evidence?.found() ?? ''
    return {
      is: outcome === 'met' ? 'cleared' : 'missed',
      reason: `${limit} ${found.charAt(0).toUpperCase()}${found.slice(1)}.`,
    }
  }
  const { sentence } = wordsOf(verdict, promised, asked)
  if (outcome === 'not shown') return { is: 'open', reason: `${limit} ${sentence}` }
  if (outcome === 'not tested') return { is: 'open', reason: `${limit} ${sentence} ${todo}` }
  return { is: 'open', reason: `${limit} ${sentence} That is too near to tell.` }
}
