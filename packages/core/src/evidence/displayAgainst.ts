import type { EntryOf, Quantity, Value } from '@even-watt/contract'
import type { Derived, Figure } from '../figures'
import { decides, derive, isFigure, sayFigure, plain } from '../figures'
import { contradict, expanded, scale, sumOf } from '../meters'
import type { Notice } from '../oddities'
import { readingsOf, type RevisionRecord } from '../trials'
import { displayed } from './display'
import type { Gate } from './gate'
import { readFigures } from './inputs'
import { quantityData } from './quantities'
import type { Spreads } from './readingValues'

/** What the unit shows of a quantity, beside what a meter read of it at the same moment. */
export interface DisplayAgainst {
  readonly entry: EntryOf<'ladder' | 'no load'>
  readonly quantity: Quantity
  readonly shown: number
  readonly meter: Figure
  /** Shown less read. */
  readonly deviation: number
  /** Expanded: half a digit of the display, or half of what it jumps over. */
  readonly ownU: number
  /** Expanded uncertainty of the deviation: the meter’s, and the display’s own. */
  readonly U: number
  /** Apart beyond both. */
  readonly apart: boolean
}

/** Half of the last digit that was noted, as an expanded uncertainty of a rectangular part. */
function halfDigit(shown: number): number {
  const [, decimals = ''] = String(shown).split('.')
  return (2 * (0.5 * 10 ** -decimals.length)) / Math.sqrt(3)
}

/** Looked for at every reading, it is odd only from three standard uncertainties on. */
const oddBeyond = 1.5

/** 40: a display that stands off the meter beyond what both may be wrong by; of each quantity the farthest. */
export const noticeDisplayOff: Notice = ({ analysis }) => {
  const { evidence } = analysis
  const farthest = new Map<Quantity, DisplayAgainst>()
  for (const line of displayAgainst(analysis.record, evidence.gate, evidence.spreads)) {
    const known = farthest.get(line.quantity)
    const clear = Math.abs(line.deviation) > oddBeyond * line.U
    if (clear && !(known && Math.abs(known.deviation) >= Math.abs(line.deviation)))
      farthest.set(line.quantity, line)
  }
  return [...farthest.values()].map(({ entry, quantity, shown, meter }) => ({
    number: 40,
    odd: `The unit’s display says ${plain(shown)} ${meter.unit} of ${quantityData[quantity].words}, the meter ${sayFigure(meter)}.`,
    why: 'Who reads the display alone is misled by as much.',
    todo: 'Say so in the report; judge nothing by the display.',
    at: {
      revision: analysis.record.revision.number,
      entry: entry.id,
      ...(entry.kind === 'ladder' ? { step: entry.reading.step } : {}),
    },
  }))
}

/**
 * The unit's display against meters, reading by reading (docs/method/evidence.md): only what a meter read, and the gate let
 * in, is held against it. The display itself is a claim and decides nothing.
 */
export function displayAgainst(record: RevisionRecord, gate: Gate, spreads: Spreads): DisplayAgainst[] {
  const { revision } = record
  return [...readingsOf(record, 'no load'), ...readingsOf(record, 'ladder')].flatMap((entry) => {
    const { display, values } = entry.reading
    if (!display) return []
    const read = (some: typeof values) =>
      readFigures(
        [{ entry: entry.id, values: some }],
        { revision, gate, checks: new Map() },
        spreads,
        `display|${entry.id}`,
      )
    const figures = read(values)
    return displayed.flatMap(([key, , , quantity]): DisplayAgainst[] => {
      const [shown, meter] = [display[key], meanOfMeters(quantity, values, read) ?? figures[quantity]]
      if (shown === undefined || !isFigure(meter) || meter.grade !== 'measured' || meter.refused) return []
      // Where it jumps nobody knows which of its figures it meant.
      const half = display.jumps?.[key] ?? 0
      const ownU = half ? (2 * half) / Math.sqrt(3) : halfDigit(shown)
      const U = Math.hypot(expanded(meter.x), ownU)
      const deviation = shown - meter.x.value
      return [{ entry, quantity, shown, meter, deviation, ownU, U, apart: Math.abs(deviation) > U }]
    })
  })
}

/** The mean of several meters that read one quantity at a moment and agree; undefined: one alone did, or they contradict. */
function meanOfMeters(
  quantity: Quantity,
  values: readonly Value[],
  read: (values: Value[]) => Readonly<Record<Quantity, Derived>>,
): Derived | undefined {
  const own = values.filter((value) => value.quantity === quantity && value.meter !== undefined)
  const meters = [...new Set(own.map(({ meter }) => meter))]
  if (meters.length < 2) return undefined
  const figures = meters
    .map((meter) => read(own.filter((value) => value.meter === meter))[quantity])
    .filter(decides)
  const n = figures.length
  const [first, ...rest] = figures
  if (!first || !rest.length) return undefined
  if (figures.some((a, i) => figures.slice(i + 1).some((b) => contradict(a.x, b.x)))) return undefined
  return derive(
    first.symbol,
    first.unit,
    `mean of ${n} meters`,
    figures,
    scale(sumOf(figures.map(({ x }) => x)), 1 / n),
  )
}

/** By how much a display is off on the mean of its checks. */
export interface DisplayOffset {
  readonly quantity: Quantity
  readonly checks: number
  /** Shown less read, on the mean, and the largest expanded uncertainty of a check. */
  readonly off: number
  readonly U: number
}

/** What would have to be taken off each quantity that the display shows, where it stood off its meter at any check. */
export function displayOffsets(lines: readonly DisplayAgainst[]): DisplayOffset[] {
  return [...new Set(lines.map(({ quantity }) => quantity))].flatMap((quantity) => {
    const own = lines.filter((line) => line.quantity === quantity)
    if (!own.some(({ apart }) => apart)) return []
    return [
      {
        quantity,
        checks: own.length,
        off: own.reduce((sum, { deviation }) => sum + deviation, 0) / own.length,
        U: Math.max(...own.map(({ U }) => U)),
      },
    ]
  })
}
