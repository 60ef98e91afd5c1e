import type { Claim } from '@even-watt/contract'
import {
  decides,
  formatNumber,
  isFigure,
  plain,
  sayLength,
  sayDuration,
  sayFigure,
  type Figure,
} from '../figures'
import {
  judge,
  judgeFigure,
  notShown,
  notTested,
  undecided,
  type Evidence,
  type Judge,
  type Verdict,
} from '../findings'
import { isMotor, judgePower } from '../limits'
import { methodSource, rectangular, uncertain } from '../meters'
import { scopeOf } from '../trials'
import { claimValue, sayClaim } from '../units'
import { heatOf, settledOrHottest } from './heat'
import { noisesOf } from './noise'
import { runDownsOf, type RunDown } from './runDown'

/** Watts within which a run-down is one at the load that is asked for. */
const atLoad = 0.05

const fits = ({ watts }: RunDown, { load }: Claim) =>
  load === undefined || (watts !== undefined && Math.abs(watts / load - 1) <= atLoad)

/** s by which the end of a run-down may be noted late. */
const lateBy = 60

/** Energy by run-downs that went to their end; what its label means is a school that is recorded with the claim. */
export const judgeEnergy: Judge = (evidence) => {
  const { claim, analysis } = evidence
  const tried = runDownsOf(analysis).filter((one) => one.log.ended && fits(one, claim))
  const name = claim.unit === 'Ah' ? 'Q_B' : claim.means === 'cells' ? 'E_B' : 'E_C'
  const known = tried
    .flatMap((one) => {
      const figure = one.log.energies[name].figure
      return isFigure(figure) ? [{ ...one, figure }] : []
    })
    .sort(
      (a, b) => Number(decides(b.figure)) - Number(decides(a.figure)) || b.figure.x.value - a.figure.x.value,
    )
  const [best] = known
  if (!best) return withoutEnergy(evidence, tried)
  const { figure } = best
  if (!decides(figure)) return undecided(figure)
  const verdict = judgeFigure(evidence, figure, `What it gave at ${sayLoad(best.watts)} W`)
  const short = claimValue(claim) > figure.x.value
  const others = known.slice(1).map((one) => `${sayFigure(one.figure)} at ${sayLoad(one.watts)} W`)
  const beside = others.length ? ` Other run-downs gave ${others.join(', ')}.` : ''
  if (short && !best.complete)
    return notShown(
      evidence,
      'time',
      `${sayFigure(figure)} came of it until it was ended. ${best.why ?? ''}`.trim(),
      'A run-down to its cutoff would show it.',
      figure,
    )
  if (short && !wasFull(best)) return perhapsNotFull(evidence, best, `It gave ${sayFigure(figure)}`, figure)
  if (short && claim.means === undefined && claim.unit !== 'Ah') {
    const share = (100 * figure.x.value) / claimValue(claim)
    return notShown(
      evidence,
      'meter',
      `At the outlet it gave ${sayFigure(figure)} of ${sayClaim(claim)}, ${formatNumber(share, 0)} %, at ${sayLoad(best.watts)} W; its label does not say whether it means the cells or the outlet.${beside}`,
      'Find out what its label means, and note it with the claim.',
      figure,
    )
  }
  return { ...verdict, sentence: `${verdict.sentence}${beside}` }
}

/** Whether it is noted that it was full before, or its gauge said so. */
const wasFull = ({ log }: RunDown): boolean => {
  const { full, charge } = log.entry.reading
  return full === undefined || full === 'not known' ? (charge ?? 0) >= 0.99 : full !== 'not full'
}

/** Short of a promise, from a store of which nobody knows that it was full: that is not the unit’s. */
function perhapsNotFull(evidence: Evidence, { log }: RunDown, what: string, figure: Figure): Verdict {
  return log.entry.reading.full === 'not full'
    ? notShown(evidence, 'supply', `${what}, and was not full before.`, 'Fill it first.', figure)
    : notShown(
        evidence,
        'supply',
        `${what}; whether it was full before is not noted.`,
        'Note at its beginning what full meant, or fill it and run it down again.',
        figure,
      )
}

function withoutEnergy(evidence: Evidence, tried: readonly RunDown[]): Verdict {
  const outlet = tried.map(({ delivered }) => delivered).find(isFigure)
  if (evidence.claim.means === 'cells' && outlet)
    return notShown(
      evidence,
      'meter',
      `At the outlet it gave ${sayFigure(outlet)} of ${sayClaim(evidence.claim)}; what the cells gave has no tap.`,
      'A run-down of the cells themselves, by who may open it, would show it.',
      outlet,
    )
  return notTested('The energy was not tested. It needs a run-down to cutoff with watt-hours at the outlet.')
}

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

/** Case temperature: where it would settle; reached is only its least. */
export const judgeCase: Judge = (evidence) => {
  const { analysis, claim } = evidence
  const places = analysis.logs.flatMap((log) => heatOf(log, analysis)).filter(({ place }) => place === 'case')
  const [hottest] = places.sort((a, b) => settledOrHottest(b).x.value - settledOrHottest(a).x.value)
  if (!hottest) return notTested('The case was not felt over a hold: note its temperature at check-ins.')
  const figure = settledOrHottest(hottest)
  if (!hottest.settles && figure.x.value < claimValue(claim))
    return notShown(evidence, 'time', hottest.sentence, 'Hold it for longer, until it settles.', figure)
  return judgeFigure(evidence, figure, 'Its case')
}

/** How long it works over its rated power: a power promise for a time, by the same rules (docs/method/findings.md). */
export const judgeOverloadTime: Judge = (evidence) => {
  const { claim } = evidence
  return claim.load === undefined
    ? notTested('The operating time names no load over the rated power.')
    : judgePower(
        { evidence, wanted: claim.load, hold: claimValue(claim), shortEnough: false, timed: true },
        ({ step }) => !isMotor(step),
      )
}

/** Noise by the loudest reading that decides, with silent loads. */
export const judgeNoise: Judge = (evidence) => {
  const noises = noisesOf(evidence.analysis)
  const told = noises.flatMap(({ level, entry }) => (level ? [{ level, entry }] : []))
  const loudest = told
    .filter(({ level }) => decides(level))
    .sort((a, b) => b.level.x.value - a.level.x.value)[0]
  if (loudest) {
    const verdict = judgeFigure(evidence, loudest.level, 'Its noise')
    return {
      ...verdict,
      sentence: `${verdict.sentence.slice(0, -1)}, at ${sayLength(loudest.entry.reading.distance)}.`,
    }
  }
  if (told[0]) return undecided(told[0].level)
  if (noises.length)
    return notShown(
      evidence,
      'meter',
      'It could not be told from the room.',
      'Read it nearer, or in a quieter room.',
    )
  return notTested('The noise was not read.')
}

export const judgeCycles: Judge = () =>
  notTested('Cycles take years: what the store still gives after some of them is a run-down of its own.')

const sayLoad = (watts: number | undefined): string => (watts === undefined ? '–' : formatNumber(watts, 0))
