import { awgArea, parseAwg } from '../conductors'
import { parseNumber, parseTemperature } from '../entry'
import { capital, writing } from '../figures'
import { perHorsepowerOf } from '../motors'
import { quantityIds, quantityOf, type QuantityId } from './quantities'
import { isPossible } from './solve'
import type { TypedQuantity } from './sheet'
import { knownUnits, unitOfKind, unitsOf } from './units'

export type ReadQuantity =
  | {
      readonly ok: true
      readonly typed: TypedQuantity
      /** What was typed without the name, for its field. */
      readonly text: string
    }
  | { readonly ok: false; readonly why: string }

const longest = 80

interface Parts {
  readonly name: string
  readonly first: string
  readonly to?: string
  readonly U?: string
  readonly unit: string
}

/** A number, what stands between two, or a word with the digit that "mm2" ends with. */
const token = /\d+(?:[.,]\d+)*|\+\/?-|\.{2,3}|[\p{L}°%²^/]+\d?|\S/gu
const isNumber = (text: string | undefined): text is string => text !== undefined && /^\d/.test(text)
const between = new Set(['to', '-', '–', '−', '…', '..', '...'])
const within = new Set(['±', '+-', '+/-'])

/**
 * What somebody types on the sheet: "12.8 V", "bank 6 mΩ", "10 to 25 mm²", "4 AWG", "code letter G", "88 ± 2 %"; a decimal
 * comma as a point (docs/method/sums.md). Without a name it is the first quantity of its unit that `taken` does not hold.
 * @param of the quantity where it is known already: its unit may then be left out
 */
export function readQuantity(
  text: string,
  taken: ReadonlySet<QuantityId> = new Set(),
  of?: QuantityId,
): ReadQuantity {
  if (text.length > longest) return { ok: false, why: `Too long: ${longest} characters at most.` }
  const trimmed = text.trim()
  if (!trimmed) return { ok: false, why: 'Type a value with its unit, such as "12.8 V".' }
  const special = codeLetter(trimmed, of) ?? awg(trimmed, taken, of)
  if (special) return special
  const parts = partsOf(trimmed)
  if (!parts)
    return {
      ok: false,
      why: `"${trimmed}" is not understood. Type one value with its unit, such as "12.8 V".`,
    }
  const id = of ?? whichOf(parts, taken)
  if (typeof id !== 'string') return { ok: false, why: id.why }
  return valueOf(id, parts)
}

/** Cut into a name, before or behind, one or two numbers, and a unit; undefined where no number stands, or one too many. */
function partsOf(text: string): Parts | undefined {
  const tokens = text.match(token) ?? []
  const at = tokens.findIndex(isNumber)
  const first = tokens[at]
  if (first === undefined) return undefined
  const minus = tokens[at - 1] === '-' || tokens[at - 1] === '−'
  const name = tokens.slice(0, minus ? at - 1 : at)
  let [unit, to, U, next]: (string | undefined)[] = []
  for (const [i, one] of tokens.slice(at + 1).entries()) {
    if (isNumber(one)) {
      if (next === 'to' && to === undefined) to = one
      else if (next === 'U' && U === undefined) U = one
      else return undefined
      next = undefined
    } else if (between.has(one)) next = 'to'
    else if (within.has(one)) next = 'U'
    // "2 in series" is no length.
    else if (unit === undefined && knownUnits.has(one) && (one !== 'in' || at + 2 + i === tokens.length))
      unit = one
    else name.push(one)
  }
  return {
    name: name.join(' '),
    first: `${minus ? '-' : ''}${first}`,
    unit: unit ?? '',
    ...(to === undefined ? {} : { to }),
    ...(U === undefined ? {} : { U }),
  }
}

const wordsIn = (text: string): string[] => text.toLowerCase().match(/[\p{L}\d]+/gu) ?? []

/** The quantity that is meant: by its unit, and by the words of its name where any are typed. */
function whichOf({ name, unit }: Parts, taken: ReadonlySet<QuantityId>): QuantityId | { why: string } {
  const words = namedIn(name)
  const fitting = quantityIds.filter(
    (id) => unit === '' || unitOfKind(quantityOf(id).kind, unit) !== undefined,
  )
  if (words.length === 0) {
    if (unit === '') return { why: 'Add the unit, or say what it is: "12.8 V", "power factor 0.8".' }
    return (
      fitting.find((id) => !taken.has(id)) ?? {
        why: `Say what it is: every quantity in ${unit} is typed already.`,
      }
    )
  }
  const scored = fitting.map((id) => ({ id, score: likeness(id, words) }))
  const best = Math.max(0, ...scored.map(({ score }) => score))
  if (best === 0)
    return { why: `Nothing${unit && ` in ${unit}`} is known as "${name}". Choose it from the list.` }
  return scored.find(({ score }) => score === best)?.id ?? { why: '' }
}

const namedIn = (name: string) => wordsIn(name).filter((word) => !idle.has(word))

const idle = new Set([
  'the',
  'of',
  'a',
  'an',
  'is',
  'are',
  'at',
  'my',
  'and',
  'in',
  'with',
  'by',
  'per',
  'to',
])

/** How well words name a quantity: a word of its name counts more than one by which people also know it. */
function likeness(id: QuantityId, words: readonly string[]): number {
  const { name, words: also, symbol } = quantityOf(id)
  const [named, known] = [wordsIn(name), wordsIn(also)]
  const has = (list: readonly string[], word: string) =>
    list.some((one) => one === word || one === `${word}s` || `${one}s` === word)
  const hits = words.reduce(
    (sum, word) =>
      sum + (has(named, word) ? 3 : has(known, word) ? 2 : symbol.toLowerCase() === word ? 3 : -1),
    0,
  )
  // Of two that are named alike, the one with fewer words besides.
  return hits > 0 ? hits - named.length / 100 : 0
}

function valueOf(id: QuantityId, { name: said, first, to, U, unit }: Parts): ReadQuantity {
  const { kind, name } = quantityOf(id)
  const words = namedIn(said)
  // "5 mX" is no 5 mΩ.
  if (unit === '' && words.length > 0 && likeness(id, words) === 0)
    return { ok: false, why: `"${said}" is no unit of ${name}. Accepted: ${unitsOf(kind).join(', ')}.` }
  const factor = unitOfKind(kind, unit || shownUnit(id))
  if (factor === undefined)
    return { ok: false, why: `${unit} does not fit ${name}. Accepted: ${unitsOf(kind).join(', ')}.` }
  const read = (text: string) =>
    kind === '°C' ? parseTemperature(`${text} ${unit}`, writing().temperature) : parseNumber(text)
  const [a, b, u] = [
    read(first),
    to === undefined ? undefined : read(to),
    U === undefined ? undefined : parseNumber(U),
  ]
  for (const one of [a, b, u]) if (one && !one.ok) return one
  if (!a.ok) return a
  const value = a.value * factor
  const end = b?.ok ? b.value * factor : undefined
  for (const one of [value, ...(end === undefined ? [] : [end])])
    if (!isPossible(id, one)) return { ok: false, why: impossibleWords(id) }
  return {
    ok: true,
    text: `${[first, ...(to === undefined ? [] : ['to', to]), ...(U === undefined ? [] : ['±', U])].join(' ')} ${unit}`.trim(),
    typed: {
      id,
      value: end === undefined ? value : Math.min(value, end),
      ...(end === undefined || end === value ? {} : { to: Math.max(value, end) }),
      ...(u?.ok ? { U: Math.abs(u.value * factor) } : {}),
      half: (factor * 10 ** -(/[.,](\d+)/.exec(first)?.[1]?.length ?? 0)) / 2,
    },
  }
}

/** The unit in which a quantity is typed where none is given. */
const shownUnit = (id: QuantityId): string => unitsOf(quantityOf(id).kind)[0] ?? ''

const impossibleWords = (id: QuantityId): string => {
  const { name, most } = quantityOf(id)
  return most === undefined
    ? `${capital(name)}: 0 or more.`
    : `${capital(name)}: from 0 to ${most === 1 && quantityOf(id).kind === '%' ? '100 %' : most}.`
}

/** "code letter G": kVA for each horsepower, from and to. */
function codeLetter(text: string, of: QuantityId | undefined): ReadQuantity | undefined {
  const letter = /^(?:code\s*)?(?:letter\s*)?([a-v])$/i.exec(text)?.[1]?.toUpperCase()
  const known = letter === undefined ? undefined : perHorsepowerOf(letter)
  if (!known || (of !== undefined && of !== 'code') || (of === undefined && text.length === 1))
    return undefined
  const [value, to] = known
  return { ok: true, text, typed: { id: 'code', value, to, half: 0 } }
}

/** "4 AWG", "leads 1/0", "10 to 4 AWG": as square millimetres. */
function awg(
  text: string,
  taken: ReadonlySet<QuantityId>,
  of: QuantityId | undefined,
): ReadQuantity | undefined {
  if (of !== undefined && of !== 'area') return undefined
  if (!/awg/i.test(text) && !/\b[1-4]\/0\b/.test(text)) return undefined
  if (of === undefined && taken.has('area'))
    return { ok: false, why: 'The copper of the leads is typed already.' }
  const numbers = (text.match(/[1-4]\/0|\d+/g) ?? []).slice(0, 2).map((one) => parseAwg(one))
  const areas = numbers.flatMap((n) => (n === undefined ? [] : [awgArea(n)]))
  const [first, second] = areas
  if (first === undefined || areas.length !== numbers.length)
    return { ok: false, why: `"${text}" is no AWG number. Accepted: 4 AWG, 1/0 AWG, 10 to 4 AWG.` }
  const ends = [first, second ?? first]
  const [value, to] = [Math.min(...ends), Math.max(...ends)]
  return { ok: true, text, typed: { id: 'area', value, ...(to > value ? { to } : {}), half: 0 } }
}
