import { sayLength } from '@even-watt/core'
import { readNumber } from '../../ui/form'
import { readLength } from '../../ui/units'
import type { Side, Spot } from '../editor/edit'
import type { RigForm } from '../editor/form'

/** Sizes of the drawing, px. */
export const size = {
  unit: 96,
  leastSlot: 92,
  height: 262,
  band: { positive: 62, negative: 182 },
  thickness: 12,
} as const

export interface PlacedElement {
  readonly id: string
  readonly kind: string
  readonly name: string
  readonly words: string
  readonly spot: Spot
  readonly x: number
  readonly y: number
}

export interface DrawnBattery {
  readonly id: string
  readonly name: string
  readonly open: boolean
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
}

export interface Drawing {
  readonly width: number
  /** Width of the bank's block. */
  readonly bank: number
  /** Where the bands begin and end. */
  readonly from: number
  readonly to: number
  readonly slot: Readonly<Record<Side, number>>
  readonly elements: readonly PlacedElement[]
  readonly batteries: readonly DrawnBattery[]
  /** x of the string each lead is taken off at; undefined: busbars over all. */
  readonly takeOff: Readonly<Record<Side, number>>
  /** Gaps in the rails, where a link is open: side and x. */
  readonly gaps: readonly { side: Side; x: number }[]
  readonly support: string | undefined
}

/** What stands where: elements evenly along their side, batteries side by side in their block. */
export function layOut(rig: RigForm, available: number): Drawing {
  const most = Math.max(1, rig.positive.length, rig.negative.length)
  const { strings, join } = rig.bank
  const bank = Math.min(360, 76 + 34 * strings.length)
  const width = Math.max(available, bank + size.unit + most * size.leastSlot + 24)
  const [from, to] = [bank + 10, width - size.unit - 14]
  const slot = {
    positive: (to - from) / Math.max(1, rig.positive.length),
    negative: (to - from) / Math.max(1, rig.negative.length),
  }
  const elements = (['positive', 'negative'] as const).flatMap((side) =>
    rig[side].map((element, index) => ({
      id: element.id,
      kind: element.kind,
      name: element.name,
      words: specOf(element),
      spot: { side, index },
      x: from + slot[side] * (index + 0.5),
      y: size.band[side],
    })),
  )
  const column = (bank - 20) / strings.length
  const centre = (string: number) => 10 + column * (string + 0.5)
  const top = size.band.positive + 16
  const inside = size.band.negative - size.band.positive - 32
  const batteries = strings.flatMap((string, i) =>
    string.map((battery, k) => {
      const height = Math.min(34, inside / string.length - 4)
      const width = Math.min(58, column - 4)
      return {
        id: battery.id,
        name: battery.name,
        open: battery.open === 'yes',
        x: centre(i) - width / 2,
        y: top + (inside / string.length) * (k + 0.5) - height / 2,
        width,
        height,
      }
    }),
  )
  const at = (text: string) => centre(Math.max(0, Math.min(strings.length, Number(text) || 1) - 1))
  const last = centre(strings.length - 1)
  return {
    width,
    bank,
    from,
    to,
    slot,
    elements,
    batteries,
    takeOff:
      join.kind === 'busbars'
        ? { positive: last, negative: last }
        : { positive: at(join.positiveAt), negative: at(join.negativeAt) },
    gaps:
      join.kind === 'busbars'
        ? []
        : (['positive', 'negative'] as const).flatMap((side) =>
            join[side].flatMap((link, i) =>
              link.trim().toLowerCase() === 'open' && i < strings.length - 1
                ? [{ side, x: (centre(i) + centre(i + 1)) / 2 }]
                : [],
            ),
          ),
    support: rig.support.kind === 'none' ? undefined : rig.support.name || rig.support.kind,
  }
}

function specOf(element: RigForm['positive'][number]): string {
  if (element.kind !== 'cable')
    return element.continuous
      ? `${element.continuous} A`
      : element.name.includes(element.kind)
        ? ''
        : element.kind
  const [first] = element.conductors
  if (!first?.gauge) return 'no gauge yet'
  const beside = element.conductors.length > 1 ? ` +${element.conductors.length - 1}` : ''
  const { value: length } = readNumber(first.length, readLength)
  return `${first.gauge}${length ? `, ${sayLength(length)}` : ''}${Number(first.runs) > 1 ? ` × ${first.runs}` : ''}${beside}`
}

/** The place a pointer at x, y would drop an element at. */
export function spotAt(drawing: Drawing, x: number, y: number): Spot {
  const side: Side = y < (size.band.positive + size.band.negative) / 2 ? 'positive' : 'negative'
  return { side, index: Math.max(0, Math.floor((x - drawing.from) / drawing.slot[side])) }
}
