import type { EntryOf } from '@even-watt/contract'
import { readFigures } from '../evidence'
import { derive, isFigure, say, type Derived, type Figure } from '../figures'
import { disagreement, subtract } from '../meters'
import { onMeter } from '../motors'
import { scopeOf, type Analysis } from '../trials'
import { outletTests } from './tests'

interface OutletVolts {
  readonly outlet: string
  readonly V: Figure
  /** V from the one in the middle. */
  readonly apart: number
  /** Further from it than the meter can be wrong between the two. */
  readonly odd: boolean
}

export interface EachOutlet {
  readonly entry: EntryOf<'outlet'>
  readonly outlets: readonly OutletVolts[]
  /** V between the highest and the lowest. */
  readonly apart: Derived
  readonly sentences: readonly string[]
}

/**
 * Every outlet against the one in the middle, with what the readings of one meter share taken out: what is left is its display
 * and its scatter (docs/method/outlets.md).
 */
export const eachOutlet = (analysis: Analysis): EachOutlet[] =>
  outletTests(analysis.record, 'each outlet').map(({ entry, reading }) => {
    const { revision } = analysis.record
    const { context } = analysis.ladder
    const read = reading.read.flatMap(({ outlet, volts }, i) => {
      const V = readFigures(
        [{ entry: entry.id, values: [onMeter('V_C', volts, revision)] }],
        context,
        context.spreads,
        `${entry.id} ${i}|${scopeOf(analysis.record)}`,
      ).V_C
      return isFigure(V) ? [{ outlet, V }] : []
    })
    const sorted = read.toSorted((a, b) => a.V.x.value - b.V.x.value)
    // Of an even number the upper of the two in the middle: one that sags shall not be the measure.
    const middle = sorted[Math.floor(sorted.length / 2)]
    const outlets = read.map(({ outlet, V }) => ({
      outlet,
      V,
      apart: middle ? V.x.value - middle.V.x.value : 0,
      odd: middle !== undefined && isOdd(V, middle.V),
    }))
    const [lowest, highest] = [sorted[0]?.V, sorted.at(-1)?.V]
    if (!lowest || !highest)
      return { entry, outlets, apart: { missing: 'No volts stand of them.' }, sentences: [] }
    return {
      entry,
      outlets,
      apart: derive('V apart', 'V', 'V highest − V lowest', [highest, lowest], subtract(highest.x, lowest.x)),
      sentences: told(outlets, [lowest.x.value, highest.x.value], reading.watts),
    }
  })

/** Within minutes a load moves the volts of one outlet by this share. */
const ofItself = 0.005

const isOdd = ({ x }: Figure, { x: middle }: Figure): boolean =>
  disagreement(x, middle) > 1 && Math.abs(x.value - middle.value) > ofItself * middle.value

function told(
  outlets: readonly OutletVolts[],
  [lowest, highest]: readonly [number, number],
  watts: number | undefined,
): string[] {
  const at = watts ? ` at ${say(watts, 'W')}` : ''
  const odd = outlets.filter((one) => one.odd)
  return [
    `${outlets.length} outlets${at}: ${say(lowest, 'V', 4)} to ${say(highest, 'V', 4)}, ${say(highest - lowest, 'V', 2)} apart (${say(highest ? (100 * (highest - lowest)) / highest : 0, '%', 2)}).`,
    ...(odd.length
      ? odd.map(
          ({ outlet, apart }) =>
            `${outlet} stands ${say(Math.abs(apart), 'V', 2)} ${apart < 0 ? 'lower' : 'higher'} than the others: more than the meter explains.`,
        )
      : ['None departs by more than the meter explains.']),
    ...(odd.some(({ apart }) => apart < 0) ? ['Look at its joints with all switched off.'] : []),
  ]
}
