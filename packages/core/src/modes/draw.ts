import type { EntryOf, ModeOf, ModeTest } from '@even-watt/contract'
import { derive, isFigure, plain, say, sayFigure, whenKnown, type Derived } from '../figures'
import { readFigures, terminalWatts } from '../evidence'
import { methodSource, multiply, rectangular, uncertain } from '../meters'
import { readingsOf, scopeOf, type Analysis, type RevisionRecord } from '../trials'
import { claimOf, claimValue } from '../units'
import { runDownsOf } from '../endurance'

export const modeTests = <T extends ModeTest>(
  record: RevisionRecord,
  test: T,
): { entry: EntryOf<'mode'>; reading: ModeOf<T> }[] =>
  readingsOf(record, 'mode').flatMap((entry) =>
    entry.reading.test === test ? [{ entry, reading: entry.reading as ModeOf<T> }] : [],
  )

/** Cycles that a mean of a search must be taken over. */
export const fewestCycles = 10
/** Share of what goes in that reaches a store, and within what. */
const throughCharging = { share: 0.88, within: 0.12 }
/** Half of the last step of a gauge that shows whole per cents. */
const gaugeStep = 0.005

export interface ModeDraw {
  readonly entry: EntryOf<'mode'>
  readonly mode: ModeOf<'draw'>['mode']
  readonly watts: Derived
  /** Over enough cycles of a search, or over the hours that it stood. */
  readonly overCycles: boolean
  readonly how: string
  readonly sentence: string
}

/** Wh that a store gives in all: by a run-down to its end, else by its label. */
function storeEnergy(analysis: Analysis): { Wh: number; u: number; by: string } | undefined {
  const best = runDownsOf(analysis)
    .filter(({ complete, delivered }) => complete && isFigure(delivered))
    .map(({ delivered }) => (isFigure(delivered) ? delivered.x.value : 0))
    .sort((a, b) => b - a)[0]
  if (best !== undefined) return { Wh: best, u: 0.05 * best, by: 'what a run-down gave' }
  const claim = claimOf(analysis.record.revision.unit, 'energy')
  if (!claim || claim.unit === 'Ah') return undefined
  return { Wh: claimValue(claim), u: 0.1 * claimValue(claim), by: 'the Wh on its label' }
}

/**
 * What each mode draws: from watts at B or into the charge input; else from what a refill took over the hours it stood; else
 * from what its gauge lost (docs/method/modes.md). A refill holds the losses of charging too: they are taken out within their bounds.
 */
export function modeDraws(analysis: Analysis): ModeDraw[] {
  const { record, evidence } = analysis
  const ground = { revision: record.revision, gate: evidence.gate, checks: evidence.checks }
  return modeTests(record, 'draw').map(({ entry, reading }): ModeDraw => {
    const read = readFigures([{ entry: entry.id, values: reading.values }], ground, new Map(), entry.id)
    const product = whenKnown([isFigure(read.V_B) ? read.V_B : read.V_A, read.I], ([v, i]) =>
      derive('P', 'W', 'V·I', [v, i], multiply(v.x, i.x)),
    )
    const metered = [terminalWatts(read, undefined, product), read.P_wall, read.P_in].find(isFigure)
    if (metered) return told(entry, reading, metered, 'from watts')
    const scope = `${entry.id}|${scopeOf(record)}`
    const { hours, refilled, chargeBefore, chargeAfter } = reading
    if (hours !== undefined && refilled !== undefined) {
      const x = uncertain(
        (throughCharging.share * refilled) / hours,
        methodSource('refill', scope),
        rectangular((throughCharging.within * refilled) / hours),
      )
      const figure: Derived = {
        symbol: 'P',
        unit: 'W',
        x,
        grade: 'measured',
        working: {
          formula: '0.88 · Wh that filled it again / h',
          inputs: [],
          notes: ['Of what goes in, between 76 and 100 % reaches the store.'],
          entries: [entry.id],
        },
      }
      return told(entry, reading, figure, 'from what filled it again')
    }
    const store = storeEnergy(analysis)
    if (hours !== undefined && chargeBefore !== undefined && chargeAfter !== undefined && store) {
      const lost = chargeBefore - chargeAfter
      const half = Math.hypot(2 * gaugeStep * store.Wh, lost * store.u) / hours
      const x = uncertain((lost * store.Wh) / hours, methodSource('gauge', scope), rectangular(half))
      return told(
        entry,
        reading,
        estimate(x, entry, 'share lost · Wh / h', `By its own gauge and ${store.by}.`),
        'from what its gauge lost',
      )
    }
    return told(entry, reading, { missing: 'Its watts were not read, nor what it lost over some hours.' }, '')
  })
}

function estimate(
  x: ReturnType<typeof uncertain>,
  entry: EntryOf<'mode'>,
  formula: string,
  note: string,
): Derived {
  return {
    symbol: 'P',
    unit: 'W',
    x,
    grade: 'estimated',
    working: { formula, inputs: [], notes: [note], entries: [entry.id] },
  }
}

function told(
  entry: EntryOf<'mode'>,
  { mode, cycles, hours }: ModeOf<'draw'>,
  watts: Derived,
  how: string,
): ModeDraw {
  const over = hours === undefined ? '' : ` over ${plain(hours)} h`
  const overCycles = cycles === undefined ? hours !== undefined : cycles >= fewestCycles
  const few =
    mode === 'search' && !overCycles
      ? ` ${cycles === undefined ? 'Over how many cycles is not noted' : `Its mean is of ${cycles} cycles`}; ${fewestCycles} are needed.`
      : ''
  const day = isFigure(watts) ? ` A day takes ${say(24 * watts.x.value, 'Wh')}.` : ''
  const sentence = isFigure(watts)
    ? `${mode.charAt(0).toUpperCase()}${mode.slice(1)} draws ${sayFigure(watts)}, ${how}${over}.${day}${few}`
    : `${mode.charAt(0).toUpperCase()}${mode.slice(1)}: ${watts.missing}`
  return { entry, mode, watts, overCycles, how, sentence }
}
