import { decides, type Figure } from '../figures'
import { repeatSource, scatterOf, combine } from '../meters'
import { claimValue } from '../units'
import type { Asked } from './asked'
import type { Evidence } from './evidence'
import { rankOf, spoils, type Hindrance } from './hindrances'
import { carriesNoMore, mayNot, pastIt, setByHand, unsaid } from './openEnds'
import type { Promised } from './promise'
import { roomHindrance } from './room'
import { clearance, outcomeOf, rule, sideOf, type Ruling, type Side } from './rule'
import type { Tried, Verdict } from './verdict'

/** One attempt that passed the gate, with what it shows. */
interface Heard {
  readonly evidence: Evidence
  /** Undefined: a bound that shows nothing. */
  readonly side: Side | undefined
  /** Why it does not decide; undefined: it does. */
  readonly reason: Hindrance | undefined
  /** By how much it clears what is promised; below 0 it misses it. */
  readonly clears: number
}

/**
 * Judges one promise by everything that was brought for it: gate, interval, circumstances, who ended it, several attempts
 * (docs/method/findings.md). The order of the evidence changes nothing.
 */
export function court(promised: Promised, asked: Asked): Verdict {
  const brought = promised.evidence(asked)
  const admitted = brought.filter(({ figure }) => decides(figure))
  if (!admitted.length) return unheard(brought, promised, asked)
  const heard = pooled(admitted, promised).map((evidence) => hear(evidence, promised, asked))
  const fair = heard.filter(({ reason }) => !reason)
  const kept = fair.filter(({ side }) => side === 'met')
  // What a tester says ended a test ended it: the unit did not.
  const broken = asked.limiter ? [] : fair.filter(({ side }) => side === 'not met')
  const tried =
    promised.several === 'attempts' ? { kept: kept.length, of: kept.length + broken.length } : undefined
  const outweighs = promised.several === 'attempts' || promised.several === 'worst'
  const breaking = outweighs ? foremostOf(broken, worst) : kept.length ? undefined : foremostOf(broken, best)
  if (breaking) return decided(breaking, tried, promised, asked)
  const keeping = foremostOf(kept, promised.several === 'worst' ? worst : best)
  const against =
    keeping &&
    promised.covers?.(
      asked,
      kept.map(({ evidence }) => evidence),
    )
  if (keeping && !against) return decided(keeping, tried, promised, asked)
  if (keeping && against) return notShown([{ ...keeping, reason: against }], promised, asked)
  const barred = brought
    .filter(({ figure }) => figure.refused)
    .flatMap((one) => wouldDecide(one, promised, asked))
  const open = heard.map((one) => (one.reason ? one : { ...one, reason: unsaid(asked) }))
  return notShown(barred.length ? barred : open, promised, asked)
}

/** What would decide and was refused is what stands in the way, before all that decides nothing anyway. */
function wouldDecide(evidence: Evidence, promised: Promised, asked: Asked): Heard[] {
  const heard = hear(evidence, promised, asked)
  const idle = !heard.side || heard.reason || (asked.limiter && heard.side === 'not met')
  return idle ? [] : [{ ...heard, reason: mayNot(evidence.figure) }]
}

/** Clearest first; of alike ones the order of their names, so that no order of readings matters. */
const best = (a: Heard, b: Heard) => b.clears - a.clears || byName(a.evidence, b.evidence)
const worst = (a: Heard, b: Heard) => best(b, a)

/** Of all of them the one that would stand first, without putting the rest in order. */
const foremostOf = <T>(all: readonly T[], order: (a: T, b: T) => number): T | undefined =>
  all.reduce<T | undefined>(
    (first, one) => (first === undefined || order(one, first) < 0 ? one : first),
    undefined,
  )

const nameOf = ({ figure }: Evidence) => figure.working.entries.join(' ')
const byName = (a: Evidence, b: Evidence) => (nameOf(a) < nameOf(b) ? -1 : nameOf(a) > nameOf(b) ? 1 : 0)

function hear(evidence: Evidence, promised: Promised, asked: Asked): Heard {
  const wanted = wantedOf(promised, asked)
  const comparator = comparatorOf(promised, asked)
  const { value } = evidence.figure.x
  const clears = clearance(value, comparator, wanted)
  const side = sideOf(value, evidence.bound, comparator, wanted) ?? atIt(evidence, clears)?.is
  const against = [...evidence.hindrances, ...roomHindrance(evidence, promised, asked)]
  const reason = side
    ? foremost(against.filter((one) => spoils(one, side)))
    : (foremost(against.filter(({ code }) => code.startsWith('ended') || code === 'end not known')) ??
      evidence.open ??
      (evidence.bound === 'at most' ? pastIt(asked) : carriesNoMore(asked)))
  return { evidence, side, reason, clears }
}

const comparatorOf = (promised: Promised, asked: Asked) =>
  promised.comparator?.(asked) ?? asked.claim.comparator

/** What failed only just past a promise failed at it. */
const atIt = ({ bound, about, surely }: Evidence, clears: number): Ruling | undefined =>
  bound === 'at most' && about !== undefined && clears <= about
    ? { is: 'not met', sure: surely === true }
    : undefined

export const wantedOf = (promised: Promised, asked: Asked): number =>
  promised.wanted?.(asked) ?? claimValue(asked.claim)

const foremost = (all: readonly Hindrance[]): Hindrance | undefined =>
  foremostOf(all, (a, b) => rankOf(a) - rankOf(b))

function decided(
  { evidence, clears }: Heard,
  tried: Tried | undefined,
  promised: Promised,
  asked: Asked,
): Verdict {
  const { code, figure, step, bound } = evidence
  const ruling =
    rule(figure.x, bound, comparatorOf(promised, asked), wantedOf(promised, asked)) ?? atIt(evidence, clears)
  if (!ruling) throw new Error('What shows nothing decides nothing.')
  return {
    outcome: outcomeOf(ruling),
    code,
    ...(ruling.probability === undefined ? {} : { probability: ruling.probability }),
    figure,
    evidence,
    ...(step === undefined || ruling.is === 'met' ? {} : { step }),
    ...(tried && tried.of > 1 ? { tried } : {}),
  }
}

/** What stopped a test is named before what was missing in it; of alike reasons the attempt that came nearest. */
function notShown(open: readonly Heard[], promised: Promised, asked: Asked): Verdict {
  const nearest = (a: Heard, b: Heard) =>
    promised.several === 'worst' ? a.clears - b.clears : Math.min(0, b.clears) - Math.min(0, a.clears)
  const first = foremostOf(open, (a, b) => rank(a.reason) - rank(b.reason) || nearest(a, b) || best(a, b))
  if (!first?.reason) throw new Error('Nothing is open.')
  const { evidence } = first
  const reason = asked.limiter ? setByHand(first.reason, asked.limiter) : first.reason
  return {
    outcome: 'not shown',
    code: reason.code,
    by: reason.by,
    figure: evidence.figure,
    evidence,
    reason,
    ...(evidence.step === undefined ? {} : { step: evidence.step }),
    own: asked.limiter?.wouldShow,
  }
}

const rank = (reason: Hindrance | undefined) => (reason ? rankOf(reason) : Infinity)

/** Nothing passed the gate, or nothing was brought at all. */
function unheard(brought: readonly Evidence[], promised: Promised, asked: Asked): Verdict {
  const first = foremostOf(brought, (a, b) => byName(a, b) || a.figure.x.value - b.figure.x.value)
  return first
    ? { outcome: 'not tested', code: 'refused', figure: first.figure, evidence: first }
    : { outcome: 'not tested', code: 'no evidence', absent: promised.absent(asked) }
}

/** Exact figures of like attempts as one, with what they scatter; what stands alone stays as it is. */
function pooled(all: readonly Evidence[], { several }: Promised): readonly Evidence[] {
  if (several !== 'pooled') return all
  const groups = new Map<string, Evidence[]>()
  const single: Evidence[] = []
  for (const one of all) {
    if (one.alike === undefined || one.bound !== 'exact' || one.hindrances.length) single.push(one)
    else groups.set(one.alike, [...(groups.get(one.alike) ?? []), one])
  }
  return [...single, ...[...groups.values()].map(meanOf)]
}

function meanOf(alike: readonly Evidence[]): Evidence {
  const [first] = alike as readonly [Evidence, ...Evidence[]]
  if (alike.length === 1) return first
  const n = alike.length
  const values = alike.map(({ figure }) => figure.x.value)
  const { squares, freedom } = scatterOf(values)
  const spread = Math.sqrt(squares / freedom / n)
  const pool = `${first.figure.symbol} of ${first.alike ?? ''}`
  const x = combine(values.reduce((sum, value) => sum + value, 0) / n, [
    ...alike.map(({ figure }) => [figure.x, 1 / n] as const),
    [{ value: 0, sources: new Map([[repeatSource(first.figure.symbol, pool, pool, freedom), spread]]) }, 1],
  ])
  const figure: Figure = {
    ...first.figure,
    x,
    working: {
      formula: `mean of ${n}`,
      inputs: alike.map((one) => one.figure),
      notes: [],
      entries: alike.flatMap((one) => one.figure.working.entries),
    },
  }
  return { ...first, figure }
}
