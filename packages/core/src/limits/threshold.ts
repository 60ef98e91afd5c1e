import { hindrance, type Asked, type Evidence, type Promised } from '../court'
import { decides, sayFigure, type Derived, type Figure } from '../figures'
import { onMeter } from '../motors'
import { readFigures } from '../evidence'
import { scopeOf, type Analysis } from '../trials'
import { partsOf } from './attempt'
import { testsOf } from './overload'

const verbs = { alarm: ['warns', 'warn'], cutoff: ['stops', 'stop'] } as const

export type Which = keyof typeof verbs

/**
 * The volts at which a unit warns or stops, from what was read at the terminals when it did and when it did not: it lies
 * between the highest at which it did and the lowest at which it did not (docs/method/findings.md). The first is a bound
 * from below, the second one from above; what lies between them decides nothing.
 */
export const thresholdPromise = (which: Which): Promised => ({
  units: ['V'],
  usual: { unit: 'V', comparator: 'at least' },
  at: 'limits',
  several: 'best',
  room: 'stated',
  voltsOf: 'steady',
  evidence: (asked) => evidenceOf(which, asked),
  absent: ({ claim }) =>
    claim.comparator === 'within ±'
      ? `The ${which} voltage was not judged: the claim says neither at least nor at most.`
      : `The ${which} voltage was not tested. ${lower(which)}`,
})

/** The highest volts at which it was seen to warn or stop. */
export const lastSeen = (which: Which, analysis: Analysis): Derived =>
  seenTo(which, analysis).did ?? { missing: `It was not seen to ${verbs[which][1]}. ${lower(which)}` }

const lower = (which: Which) =>
  `Lower the input slowly at a light load and note the volts at the terminals when it ${verbs[which][0]}.`

function evidenceOf(which: Which, asked: Asked): Evidence[] {
  if (asked.claim.comparator === 'within ±') return []
  const { did, didNot } = seenTo(which, asked.analysis)
  // That it did not stop says nothing of where it does.
  if (!did && (which === 'cutoff' || !didNot)) return []
  const found = () => {
    const [does, doing] = verbs[which]
    return did
      ? `it ${does} with ${sayFigure(did)} at the terminals${didNot ? `, and does not with ${sayFigure(didNot)}` : ''}`
      : `it does not ${doing} with ${didNot ? sayFigure(didNot) : ''} at the terminals`
  }
  const between = hindrance('not tried closely', () => ({
    why: `Between them nothing was tried.`,
    would: lower(which),
  }))
  const one = (figure: Figure, bound: Evidence['bound']): Evidence => ({
    code: bound === 'at least' ? 'did' : 'did not',
    figure,
    bound,
    hindrances: [],
    open: between,
    found,
  })
  return [...(did ? [one(did, 'at least')] : []), ...(didNot ? [one(didNot, 'at most')] : [])]
}

/** The highest volts at which it did, and the lowest at which it did not. */
function seenTo(which: Which, analysis: Analysis): { did: Figure | undefined; didNot: Figure | undefined } {
  const seen = analysis.ladder.steps
    .flatMap((step) => partsOf(step, analysis))
    .flatMap(({ figures: { read }, readings }) => {
      if (!decides(read.V_B)) return []
      const low = readings.some(
        ({ reading: { alarm, end } }) => alarm === 'low voltage' && (which === 'alarm' || end === 'tripped'),
      )
      return [{ V_B: read.V_B, low }]
    })
  const of = (low: boolean) => seen.filter((one) => one.low === low).map(({ V_B }) => V_B)
  return { did: extreme([...of(true), ...triedOn(which, analysis)], 1), didNot: extreme(of(false), -1) }
}

/** Volts at the terminals at which it was seen to warn or stop while the input was lowered on purpose. */
const triedOn = (which: Which, { record, ladder }: Analysis): Figure[] =>
  testsOf(record, 'threshold').flatMap(({ entry, reading }) => {
    if (reading.which !== which) return []
    const values = [onMeter('V_B', reading.V_B, record.revision)]
    const where = `${entry.id}|${scopeOf(record)}`
    const { V_B } = readFigures([{ entry: entry.id, values }], ladder.context, ladder.context.spreads, where)
    return decides(V_B) ? [V_B] : []
  })

/** The highest, or with −1 the lowest. */
const extreme = (figures: readonly Figure[], sign: 1 | -1): Figure | undefined =>
  figures.reduce<Figure | undefined>(
    (most, figure) => (!most || sign * (figure.x.value - most.x.value) > 0 ? figure : most),
    undefined,
  )
