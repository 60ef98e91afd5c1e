import { hindrance, type Asked, type Evidence, type Promised } from '../court'
import { formatNumber, isFigure, sayFigure, type Figure } from '../figures'
import { fewestCycles, modeDraws, type ModeDraw } from './draw'
import { transfersOf } from './transfer'

/** Changeovers that must be timed before "at most" is shown: it depends on the phase at which the grid goes. */
const fewestTransfers = 3

/** The slowest changeover that was timed; a promise in ms or s is judged in ms. */
export const transferTime: Promised = {
  units: ['ms', 's'],
  usual: { unit: 'ms', comparator: 'at most' },
  at: 'modes',
  several: 'worst',
  room: 'stated',
  voltsOf: 'steady',
  wanted: ({ claim }) => (claim.unit === 'ms' ? claim.value : claim.value * 1000),
  evidence: ({ analysis }) =>
    transfersOf(analysis).flatMap(({ gap }): Evidence[] => (gap ? [timed(gap)] : [])),
  covers: (_asked, kept) =>
    kept.length < fewestTransfers
      ? hindrance('few attempts', () => ({
          why: `It depends on the moment at which the grid goes, and only ${kept.length} ${kept.length === 1 ? 'was' : 'were'} timed.`,
          would: `Time ${fewestTransfers} or more.`,
        }))
      : undefined,
  absent: () => 'The transfer time was not tested. It needs a capture of the changeover.',
}

const timed = (gap: Figure): Evidence => ({
  code: 'timed',
  figure: gap,
  bound: 'exact',
  hindrances: [],
  found: () => `its slowest transfer took ${formatNumber(gap.x.value, gap.x.value < 10 ? 1 : 0)} ms`,
})

/** What a mode draws; a search as the mean over enough of its cycles. */
export const modeDraw: Promised = {
  units: ['W', 'A'],
  usual: { unit: 'W', comparator: 'at most' },
  asks: ['mode'],
  at: 'modes',
  several: 'pooled',
  room: 'stated',
  voltsOf: 'steady',
  evidence: (asked) =>
    modeDraws(asked.analysis)
      .filter(({ mode }) => mode === asked.claim.mode)
      .flatMap((draw) => (isFigure(draw.watts) ? [drawEvidence(draw, draw.watts, asked)] : [])),
  absent: ({ claim: { mode } }) =>
    mode === undefined
      ? 'The draw names no mode: say which it is promised of.'
      : `Its draw in mode “${mode}” was not read.`,
}

function cyclesIn({ reading }: ModeDraw['entry']): string {
  const cycles = reading.test === 'draw' ? reading.cycles : undefined
  return cycles === undefined
    ? `Over how many cycles is not noted; ${fewestCycles} are needed.`
    : `Its mean is of ${cycles} cycles; ${fewestCycles} are needed.`
}

const drawEvidence = ({ mode, overCycles, entry }: ModeDraw, watts: Figure, { claim }: Asked): Evidence => ({
  code: 'draws',
  figure: watts,
  bound: 'exact',
  hindrances: [
    ...(claim.unit === 'A'
      ? [
          hindrance('another unit', () => ({
            why: 'It was read in watts.',
            would: 'It is promised in amps: read them.',
          })),
        ]
      : []),
    ...(mode === 'search' && !overCycles
      ? [
          hindrance('too few cycles', () => ({
            why: cyclesIn(entry),
            would: `Take the mean over ${fewestCycles} cycles.`,
          })),
        ]
      : []),
  ],
  alike: mode,
  found: () => `its draw in mode “${mode}” is ${sayFigure(watts)}`,
})
