import { decides, sayFigure, type Figure } from '../figures'
import { judge, notTested, type Judge } from '../findings'
import { expanded } from '../meters'
import { claimValue, sayClaim } from '../units'
import { onMeter } from '../motors'
import { readFigures } from '../evidence'
import { scopeOf, type Analysis } from '../trials'
import { partsOf } from './attempt'
import { testsOf } from './overload'

const verbs = { alarm: ['warns', 'warn'], cutoff: ['stops', 'stop'] } as const

/**
 * The volts at which a unit warns or stops, from what was read at the terminals when it did and when it did not: it lies
 * between the highest at which it did and the lowest at which it did not (docs/method/findings.md). The first shows
 * "at least", the second "at most"; what lies between them decides nothing.
 */
export const judgeThreshold =
  (what: 'alarm' | 'cutoff'): Judge =>
  (evidence) => {
    const { claim, analysis } = evidence
    const seen = analysis.ladder.steps
      .flatMap((step) => partsOf(step, analysis))
      .flatMap(({ figures: { read }, readings }) => {
        if (!decides(read.V_B)) return []
        const low = readings.some(
          ({ reading: { alarm, end } }) => alarm === 'low voltage' && (what === 'alarm' || end === 'tripped'),
        )
        return [{ V_B: read.V_B, low }]
      })
    const tried = triedOn(analysis, what)
    const did = extreme([...seen.filter(({ low }) => low).map(({ V_B }) => V_B), ...tried], 1)
    const didNot = extreme(
      seen.filter(({ low }) => !low).map(({ V_B }) => V_B),
      -1,
    )
    const [does, doing] = verbs[what]
    const lower = `Lower the input slowly at a light load and note V_B when it ${does}.`
    if (claim.comparator === 'within ±')
      return notTested(`The ${what} voltage was not judged: the claim says neither at least nor at most.`)
    if (!did && (what === 'cutoff' || !didNot))
      return notTested(`The ${what} voltage was not tested. ${lower}`)
    const wanted = claimValue(claim)
    const atLeast = claim.comparator === 'at least'
    const seenTo = did
      ? `It ${does} with ${sayFigure(did)} at the terminals${didNot ? `, and does not with ${sayFigure(didNot)}` : ''}`
      : `It does not ${doing} with ${didNot ? sayFigure(didNot) : ''} at the terminals`
    const said = `${seenTo}, against ${sayClaim(claim)}.`
    // Seen on the good side of the claim it is met; seen on the bad side beyond doubt it is missed.
    const [good, bad] = atLeast ? [did, didNot] : [didNot, did]
    const clears = (figure: Figure) => (atLeast ? figure.x.value - wanted : wanted - figure.x.value)
    if (good && clears(good) >= 0)
      return { outcome: judge(good.x, claim.comparator, wanted), figure: good, sentence: said }
    if (bad && clears(bad) < -expanded(bad.x)) return { outcome: 'not met', figure: bad, sentence: said }
    return notTested(`The ${what} voltage was not tested closely enough. ${said} ${lower}`)
  }

/** Volts at the terminals at which it was seen to warn or stop while the input was lowered on purpose. */
const triedOn = (analysis: Analysis, what: 'alarm' | 'cutoff'): Figure[] =>
  testsOf(analysis.record, 'threshold').flatMap(({ entry, reading }) => {
    if (reading.which !== what) return []
    const { record, ladder } = analysis
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
