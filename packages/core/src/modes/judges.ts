import { judgeFigure, notShown, notTested, undecided, type Judge } from '../findings'
import { decides, formatNumber, isFigure } from '../figures'
import { sayClaim } from '../units'
import { fewestCycles, modeDraws } from './draw'
import { transfersOf } from './transfer'

/** The slowest changeover that was timed. */
export const judgeTransfer: Judge = (evidence) => {
  const timed = transfersOf(evidence.analysis).flatMap(({ gap }) => (gap ? [gap] : []))
  const slowest = timed.sort((a, b) => Number(decides(b)) - Number(decides(a)) || b.x.value - a.x.value)[0]
  if (!slowest) return notTested('The transfer time was not tested. It needs a capture of the changeover.')
  // A promise in ms or s is judged in s.
  const inSeconds = {
    ...slowest,
    x: {
      value: slowest.x.value / 1000,
      sources: new Map([...slowest.x.sources].map(([name, u]) => [name, u / 1000])),
    },
  }
  const verdict = judgeFigure(evidence, inSeconds, 'Its transfer')
  return isFigure(slowest) && decides(slowest)
    ? {
        ...verdict,
        figure: slowest,
        sentence: `Its slowest transfer took ${formatNumber(slowest.x.value, slowest.x.value < 10 ? 1 : 0)} ms against ${sayClaim(evidence.claim)}.`,
      }
    : undecided(slowest)
}

/** What a mode draws: of measured ones the last. */
export const judgeModeDraw: Judge = (evidence) => {
  const { claim, analysis } = evidence
  if (claim.mode === undefined) return notTested('The draw names no mode: say which it is promised of.')
  const draws = modeDraws(analysis).filter(({ mode, watts }) => mode === claim.mode && isFigure(watts))
  const deciding = draws.filter(({ watts }) => decides(watts))
  const mean = claim.mode === 'search' ? deciding.findLast(({ overCycles }) => overCycles) : undefined
  const best = mean ?? deciding.at(-1) ?? draws.at(-1)
  if (!best || !isFigure(best.watts)) return notTested(`Its draw in mode “${claim.mode}” was not read.`)
  if (claim.unit === 'A')
    return notShown(evidence, 'meter', best.sentence, 'It is promised in amps: read them.', best.watts)
  if (claim.mode === 'search' && !best.overCycles)
    return notShown(evidence, 'time', best.sentence, `Take the mean over ${fewestCycles} cycles.`, best.watts)
  return judgeFigure(evidence, best.watts, `Its draw in mode “${claim.mode}”`)
}
