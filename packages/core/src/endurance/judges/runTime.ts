import { decides, plain, sayDuration, type Figure } from '../../figures'
import { judge, notShown, notTested, undecided, type Judge } from '../../findings'
import { methodSource, rectangular, uncertain } from '../../meters'
import { scopeOf } from '../../trials'
import { claimValue, sayClaim } from '../../units'
import { runDownsOf, type RunDown } from '../runDown'
import { atLoad, perhapsNotFull, sayLoad, wasFull } from './store'

/** s by which the end of a run-down may be noted late. */
const lateBy = 60

/** Run time at a load: with as much load or more it must last as long; with less it must not end before. */
export const judgeRunTime: Judge = (evidence) => {
  const { claim, analysis } = evidence
  const { load } = claim
  if (load === undefined)
    return notTested('The run time names no load, so that nothing can be run down at it.')
  const wanted = claimValue(claim)
  const tried = runDownsOf(analysis).flatMap((one) =>
    one.watts === undefined || !one.log.ended ? [] : [{ ...one, watts: one.watts }],
  )
  // Watts that nobody read make no time at a load.
  const figureOf = ({ ran, log, watts, delivered }: RunDown): Figure => {
    const scale = watts !== undefined && Math.abs(watts / load - 1) <= atLoad ? watts / load : 1
    return {
      symbol: 't',
      unit: 'h',
      x: uncertain(
        (scale * ran) / 3600,
        methodSource('run time', `${log.entry.id}|${scopeOf(analysis.record)}`),
        rectangular(lateBy / 3600),
      ),
      grade: decides(delivered) ? 'measured' : 'estimated',
      working: {
        formula: 'time from its beginning to its end, without stops',
        inputs: [],
        notes:
          scale === 1
            ? []
            : [`Carried over from ${sayLoad(watts)} W to ${plain(load)} W at the same energy.`],
        entries: [log.entry.id],
      },
    }
  }
  const [near] = tried
    .filter((one) => Math.abs(one.watts / load - 1) <= atLoad && (one.complete || one.ran >= wanted))
    .sort((a, b) => Number(decides(b.delivered)) - Number(decides(a.delivered)) || b.ran - a.ran)
  const said = (one: RunDown & { watts: number }) =>
    `${sayDuration(60 * Math.round(one.ran / 60))} at ${sayLoad(one.watts)} W`
  if (near) {
    const figure = figureOf(near)
    if (!decides(figure)) return undecided(figure)
    if (figure.x.value < wanted / 3600 && !wasFull(near))
      return perhapsNotFull(evidence, near, `It ran ${said(near)}`, figure)
    return {
      outcome: judge(figure.x, claim.comparator, wanted / 3600),
      figure,
      sentence: `It ran ${said(near)} against ${sayClaim(claim)}. ${near.why ?? ''}`.trim(),
    }
  }
  const harder = tried.find((one) => decides(one.delivered) && one.watts > load && one.ran >= wanted)
  if (harder)
    return {
      outcome: 'met',
      figure: figureOf(harder),
      sentence: `It ran ${said(harder)}, more than ${sayClaim(claim)}.`,
    }
  const easier = tried.find(
    (one) => decides(one.delivered) && one.watts < load && one.complete && one.ran < wanted && wasFull(one),
  )
  if (easier)
    return {
      outcome: 'not met',
      figure: figureOf(easier),
      sentence: `It ran only ${said(easier)}, against ${sayClaim(claim)}.`,
    }
  const cut = tried.find((one) => Math.abs(one.watts / load - 1) <= atLoad)
  if (cut)
    return notShown(
      evidence,
      'time',
      `It ran ${said(cut)} until it was ended. ${cut.why ?? ''}`.trim(),
      'A run-down to its cutoff would show it.',
      figureOf(cut),
    )
  return notTested(`It was not run down at ${plain(load)} W.`)
}
