import type { Display } from '@even-watt/contract'
import { parseNumber } from '../entry'
import { shortened, typedNumber } from '../figures'

/** What a form has of a display, by field. */
export const shownFields = [
  'inputVoltage',
  'outputVoltage',
  'outputPower',
  'frequency',
  'charge',
  'loadBars',
  'chargeBars',
] as const
export type ShownField = (typeof shownFields)[number]

interface ShownFigure {
  readonly ok: true
  readonly value: number
  /** Of a figure that jumps. */
  readonly half?: number
  /** Of bars: how many there are. */
  readonly inAll?: number
}
type Shown = ShownFigure | { readonly ok: false; readonly why: string }

/** Between two numbers: words, a dash, dots; a hyphen only behind a digit, where it is no sign. */
const between = /\s*(?:\bto\b|–|…|\.{2,3})\s*|(?<=\d)\s{0,3}-\s{0,3}(?=\d)/

/**
 * A figure as a display shows it: "231", or "229 to 232" and "229–232" where it jumps, which is kept as its middle and half of
 * what it jumps over.
 */
function parseShown(typed: string): Shown {
  const [first = '', second, ...more] = typed.slice(0, 100).split(between)
  const one = parseNumber(first)
  if (second === undefined || more.length || !one.ok) return orBelow(parseNumber(typed))
  const other = parseNumber(second)
  if (!other.ok) return other
  if (one.value < 0) return orBelow(one)
  const [low, high] = [Math.min(one.value, other.value), Math.max(one.value, other.value)]
  return { ok: true, value: tidy((low + high) / 2), ...(high > low ? { half: tidy((high - low) / 2) } : {}) }
}

const tidy = (x: number): number => shortened(x, 12)

const orBelow = (read: Shown): Shown =>
  read.ok && read.value < 0 ? { ok: false, why: 'a number from 0 up.' } : read

/** Bars as they are seen: "3", or "3 of 5" and "3/5" where it is known how many there are. */
function parseBars(typed: string): Shown {
  const [lit = '', all, ...more] = typed.slice(0, 100).split(/\s*(?:\bof\b|\/)\s*/)
  if (all === undefined || more.length) return orBelow(parseNumber(typed))
  const [one, whole] = [orBelow(parseNumber(lit)), parseNumber(all)]
  if (!one.ok || !whole.ok) return one.ok ? whole : one
  if (one.value > whole.value) return { ok: false, why: 'more bars than there are. Accepted: 3 of 5.' }
  return { ...one, inAll: whole.value }
}

function parseCharge(typed: string): Shown {
  const parsed = orBelow(parseNumber(typed.replace('%', '')))
  return parsed.ok ? { ...parsed, value: tidy(parsed.value / 100) } : parsed
}

const parsers: Readonly<Partial<Record<ShownField, (typed: string) => Shown>>> = {
  charge: parseCharge,
  loadBars: parseBars,
  chargeBars: parseBars,
}

/** What was typed of a display, by field, and what of it is wrong; undefined: nothing was typed. */
export function readDisplay(texts: Readonly<Partial<Record<ShownField, string | undefined>>>): {
  readonly display: Display | undefined
  readonly faults: readonly (readonly [ShownField, string])[]
} {
  const faults: (readonly [ShownField, string])[] = []
  const read = shownFields.flatMap((field) => {
    const text = texts[field]?.trim()
    if (!text) return []
    const parsed = (parsers[field] ?? parseShown)(text)
    if (!parsed.ok) {
      faults.push([field, `Display: ${parsed.why}`])
      return []
    }
    return [[field, parsed] as const]
  })
  const jumps = read.flatMap(([field, { half }]) => (half === undefined ? [] : [[field, half] as const]))
  const display: Display = {
    ...Object.fromEntries(read.map(([field, { value }]) => [field, value])),
    ...Object.fromEntries(
      read.flatMap(([field, { inAll }]) => (inAll === undefined ? [] : [[`${field}Of`, inAll] as const])),
    ),
    ...(jumps.length ? { jumps: Object.fromEntries(jumps) } : {}),
  }
  return { display: read.length ? display : undefined, faults }
}

/** "229 to 232", "3 of 5", "80", or a single figure: as it would be typed again. */
export function typeShown(display: Display | undefined, field: ShownField): string {
  const value = display?.[field]
  if (display === undefined || value === undefined) return ''
  if (field === 'charge') return typedNumber(tidy(100 * value))
  if (field === 'loadBars' || field === 'chargeBars') {
    const inAll = display[`${field}Of`]
    return inAll === undefined ? typedNumber(value) : `${typedNumber(value)} of ${typedNumber(inAll)}`
  }
  const half = display.jumps?.[field] ?? 0
  return half ? `${typedNumber(value - half)} to ${typedNumber(value + half)}` : typedNumber(value)
}
