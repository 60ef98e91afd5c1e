import { hindrance, type Asked, type Evidence, type Hindrance, type Promised } from '../../court'
import { decides, plain, sayDuration, type Figure } from '../../figures'
import { methodSource, rectangular, uncertain } from '../../meters'
import { scopeOf } from '../../trials'
import { claimValue } from '../../units'
import { runDownsOf, type RunDown } from '../runDown'
import { atLoad, runDownHindrances, sayLoad } from './store'

/** s by which the end of a run-down may be noted late. */
const lateBy = 60

/**
 * Run time at a load: to its end exactly, ended before at least so long. A heavier load lasts no longer, so that its time is a
 * bound from below; a lighter one's is a bound from above. What was not watched is not counted as having run.
 */
export const runTime: Promised = {
  units: ['h', 'min'],
  usual: { unit: 'h', comparator: 'at least' },
  asks: ['load'],
  at: 'endurance',
  several: 'pooled',
  room: 'cold',
  voltsOf: 'steady',
  wanted: ({ claim }) => claimValue(claim) / 3600,
  evidence: (asked) => {
    const { load } = asked.claim
    if (load === undefined) return []
    return runDownsOf(asked.analysis).flatMap((one) =>
      one.watts === undefined || !one.log.ended ? [] : evidenceOf(one, one.watts, load, asked),
    )
  },
  absent: ({ claim: { load } }) =>
    load === undefined
      ? 'The run time names no load, so that nothing can be run down at it.'
      : `It was not run down at ${plain(load)} W.`,
}

function evidenceOf(one: RunDown, watts: number, load: number, asked: Asked): Evidence[] {
  const near = Math.abs(watts / load - 1) <= atLoad
  const ended = one.complete || one.log.ended?.why === 'heat' || one.log.ended?.why === 'overload'
  const against = runDownHindrances(one, asked)
  const said = (seconds: number) => `${sayDuration(60 * Math.round(seconds / 60))} at ${sayLoad(watts)} W`
  const at = (
    seconds: number,
    bound: Evidence['bound'],
    code: string,
    found: string,
    open: Hindrance,
  ): Evidence => ({
    code,
    figure: timeOf(one, seconds, near ? watts / load : 1, asked),
    bound,
    hindrances: against,
    open,
    ...(bound === 'exact' ? { alike: 'at its load' } : {}),
    found: () => `it ran ${found}`,
    beside: () => (one.why === undefined ? [] : [one.why]),
  })
  if (!near && watts > load) return [at(one.watched, 'at least', 'harder', said(one.watched), another(load))]
  if (!near) return ended ? [at(one.ran, 'at most', 'easier', `only ${said(one.ran)}`, another(load))] : []
  if (!ended) return [at(one.watched, 'at least', 'ended before', said(one.watched), endedBefore())]
  // What lies in a gap may have been run, or not.
  return one.watched < one.ran
    ? [
        at(one.watched, 'at least', 'with a gap', `at least ${said(one.watched)}`, inTheGap(one)),
        at(one.ran, 'at most', 'with a gap', `at most ${said(one.ran)}`, inTheGap(one)),
      ]
    : [at(one.ran, 'exact', 'run down', said(one.ran), endedBefore())]
}

/** Watts that nobody read make no time at a load. */
function timeOf(
  { log, watts, delivered }: RunDown,
  seconds: number,
  scale: number,
  { claim, analysis }: Asked,
): Figure {
  const refused = 'refused' in delivered ? delivered.refused : undefined
  return {
    symbol: 't',
    unit: 'h',
    x: uncertain(
      (scale * seconds) / 3600,
      methodSource('run time', `${log.entry.id}|${scopeOf(analysis.record)}`),
      rectangular(lateBy / 3600),
    ),
    grade: decides(delivered) ? 'measured' : 'estimated',
    ...(refused ? { refused } : {}),
    working: {
      formula: 'time from its beginning to its end, without stops',
      inputs: [],
      notes:
        scale === 1
          ? []
          : [`Carried over from ${sayLoad(watts)} W to ${plain(claim.load ?? 0)} W at the same energy.`],
      entries: [log.entry.id],
    },
  }
}

const endedBefore = () =>
  hindrance('time too short', () => ({
    why: 'It was ended before it stopped by itself.',
    would: 'A run-down to its cutoff would show it.',
  }))

const another = (load: number) =>
  hindrance('time too short', () => ({
    why: 'That was another load.',
    would: `A run-down at ${plain(load)} W would show it.`,
  }))

const inTheGap = ({ ran, watched }: RunDown) =>
  hindrance('not watched', () => ({
    why: `For ${sayDuration(60 * Math.round((ran - watched) / 60))} of it nothing was read.`,
    would: 'Log it without the gap.',
  }))
