import {
  legQuantities,
  type alarms,
  type ends,
  type EntryOf,
  type fanStates,
  type grades,
  type loadKinds,
  type LoadUse,
  type Quantity,
  type Rig,
  type Value,
} from '@even-watt/contract'
import {
  besideSteps,
  parseNumber,
  quantities,
  quantityData,
  readDisplay,
  shortened,
  shownFields,
  typeShown,
  type ShownField,
} from '@even-watt/core'
import { readTemperatures, typedTemperatures, type TypedTemperature } from '../evidence/temperatures'
import { showValue, storedFactor, typedDecimals } from '../ui/readValue'
import { readTemperature } from '../ui/units'

/** One field of the entry row: a quantity on a meter; without a meter, no uncertainty is known. */
export interface EntryField {
  readonly key: string
  readonly quantity: Quantity
  readonly meter: string | undefined
}

const nothingShown = Object.fromEntries(shownFields.map((key) => [key, ''])) as Record<ShownField, string>

/** A step as typed, kept as text until it is captured. */
export interface Draft {
  readonly load: string
  readonly kind: (typeof loadKinds)[number]
  readonly texts: Readonly<Record<string, string>>
  /** Ranges that meters of several stand on, by field; absent: the smallest that holds the value. */
  readonly ranges: Readonly<Record<string, string>>
  /** When each value was last typed, ISO. */
  readonly times: Readonly<Record<string, string>>
  readonly fan: '' | (typeof fanStates)[number]
  readonly alarm: (typeof alarms)[number]
  readonly end: (typeof ends)[number]
  readonly held: string
  /** The input was lowered on purpose. */
  readonly lowered: boolean
  readonly observed: string
  readonly note: string
  readonly temperatures: readonly TypedTemperature[]
  readonly display: Readonly<Record<ShownField, string>>
  /** Grade of values that no meter is named for. */
  readonly otherGrade: Exclude<(typeof grades)[number], 'measured'>
  /** Set when the draft repeats or corrects: the step it belongs to. */
  readonly step?: string
  readonly position?: number
  readonly replaces?: { readonly entry: string; readonly why: string }
  /** Taken from the plan; words typed over it drop it. */
  readonly uses?: readonly LoadUse[] | undefined
  /** W that the plan expects of them. */
  readonly expected?: number | undefined
}

export const emptyDraft: Draft = {
  load: '',
  kind: 'element',
  texts: {},
  ranges: {},
  times: {},
  fan: '',
  alarm: 'none',
  end: 'carried',
  held: '',
  lowered: false,
  observed: '',
  note: '',
  temperatures: [],
  display: nothingShown,
  otherGrade: 'display',
}

/** Asked for only where a meter is hung for them. */
const hungOnly: ReadonlySet<Quantity> = new Set(['I_bank', 'P_B', 'Q_B', 'E_B', ...legQuantities])

/** Fields in reading order: those the rig hangs meters on, then the rest, which have no meter. */
export function fieldsOf(rig: Rig): EntryField[] {
  const assigned = rig.assignments.flatMap(({ quantity, meter }): EntryField[] =>
    quantity === 'idle I' || besideSteps.has(quantity)
      ? []
      : [{ key: `${quantity}|${meter}`, quantity, meter }],
  )
  const has = new Set(assigned.map((field) => field.quantity))
  const rest = quantities
    .filter((quantity) => !has.has(quantity) && !hungOnly.has(quantity) && !besideSteps.has(quantity))
    .map((quantity) => ({ key: `${quantity}|`, quantity, meter: undefined }))
  return [...assigned, ...rest]
}

const limit = 1e6

export interface ReadDraft {
  readonly values: readonly Value[]
  /** Sentences by field key. */
  readonly faults: Readonly<Record<string, string>>
}

/** What has been typed so far as values; what cannot be read is named, and stays typed. */
export function readDraft(draft: Draft, fields: readonly EntryField[]): ReadDraft {
  const values: Value[] = []
  const faults: Record<string, string> = {}
  for (const { key, quantity, meter } of fields) {
    const text = draft.texts[key]
    if (!text?.trim()) continue
    const parsed = quantity === 'T' ? readTemperature(text) : parseNumber(text)
    if (!parsed.ok) {
      faults[key] = `${quantity}: ${parsed.why}`
    } else if (Math.abs(parsed.value) > limit) {
      faults[key] =
        `${quantity}: ${text.slice(0, 24)} is out of reach; up to ${limit} ${quantityData[quantity].unit} is accepted.`
    } else {
      const at = draft.times[key]
      const range = draft.ranges[key]
      values.push({
        quantity,
        value: shortened(parsed.value * storedFactor(quantity), 15),
        grade: meter ? 'measured' : draft.otherGrade,
        ...(meter ? { meter } : {}),
        ...(meter && range ? { range } : {}),
        ...typedDecimals(text),
        ...(at ? { at } : {}),
      })
    }
  }
  return { values, faults }
}

/** What was typed on each meter as a number, by field. */
export const typedValues = (draft: Draft, fields: readonly EntryField[]): ReadonlyMap<string, number> => {
  const { values } = readDraft(draft, fields)
  return new Map(
    fields.flatMap(({ key, quantity, meter }) => {
      const value = values.find((one) => one.quantity === quantity && one.meter === meter)?.value
      return value === undefined ? [] : [[key, value] as const]
    }),
  )
}

const optional = (
  faults: Record<string, string>,
  key: string,
  words: string,
  text: string,
): number | undefined => {
  if (!text.trim()) return undefined
  const parsed = parseNumber(text)
  if (parsed.ok && parsed.value >= 0) return parsed.value
  faults[key] = `${words}: ${parsed.ok ? 'a number from 0 up' : parsed.why}`
  return undefined
}

export interface Built {
  readonly entry: EntryOf<'ladder'>
  readonly faults: Readonly<Record<string, string>>
}

/** The entry a draft would become. It may be shown while faults remain, but is captured only without any. */
export function buildEntry(
  draft: Draft,
  fields: readonly EntryField[],
  context: { id: string; step: string; position: number; revision: number; at: string },
): Built {
  const read = readDraft(draft, fields)
  const faults: Record<string, string> = { ...read.faults }
  const held = optional(faults, 'held', 'Held', draft.held)
  const { temperatures, fault } = readTemperatures(draft.temperatures)
  if (fault !== undefined) faults['temperatures'] = fault
  const { display, faults: unread } = readDisplay(draft.display)
  for (const [key, why] of unread) faults[`display.${key}`] = why
  if (!draft.load.trim()) faults['load'] = 'Load: say in a few words what is connected.'
  if (!read.values.length && !display)
    faults['values'] = 'Nothing is read yet: at least one value makes a reading.'
  return {
    faults,
    entry: {
      id: context.id,
      kind: 'ladder',
      revision: context.revision,
      at: context.at,
      ...(draft.replaces ? { replaces: { ...draft.replaces } } : {}),
      reading: {
        step: draft.step ?? context.step,
        position: draft.position ?? context.position,
        load: draft.load.trim() || '…',
        kind: draft.kind,
        ...(draft.uses?.length ? { uses: [...draft.uses] } : {}),
        ...(draft.expected === undefined ? {} : { expected: draft.expected }),
        values: [...read.values],
        ...(display ? { display } : {}),
        ...(temperatures.length ? { temperatures } : {}),
        ...(draft.fan ? { fan: draft.fan } : {}),
        alarm: draft.alarm,
        end: draft.end,
        ...(held ? { held } : {}),
        ...(draft.lowered ? { lowered: true } : {}),
        ...(draft.observed.trim() ? { observed: draft.observed.trim() } : {}),
        ...(draft.note.trim() ? { note: draft.note.trim() } : {}),
      },
    },
  }
}

/** The field at which a sentence of the contract belongs, by its path in the entry. */
export function fieldAt(path: string, entry: EntryOf<'ladder'>, fields: readonly EntryField[]): string {
  const [, part = '', place = ''] = path.split('.')
  if (part === 'display') return `display.${place}`
  const value = part === 'values' ? entry.reading.values[Number(place)] : undefined
  const field =
    value && fields.find(({ quantity, meter }) => quantity === value.quantity && meter === value.meter)
  return field?.key ?? part
}

/** A reading back in the entry row, to correct it. */
export function draftOf(entry: EntryOf<'ladder'>, fields: readonly EntryField[]): Draft {
  const { reading } = entry
  const texts: Record<string, string> = {}
  const ranges: Record<string, string> = {}
  for (const value of reading.values) {
    const field =
      fields.find((candidate) => candidate.quantity === value.quantity && candidate.meter === value.meter) ??
      fields.find((candidate) => candidate.quantity === value.quantity)
    if (!field) continue
    texts[field.key] = showValue(value.quantity, value.value, value.decimals)
    if (value.range) ranges[field.key] = value.range
  }
  return {
    ...emptyDraft,
    load: reading.load,
    kind: reading.kind,
    uses: reading.uses,
    expected: reading.expected,
    texts,
    ranges,
    fan: reading.fan ?? '',
    alarm: reading.alarm ?? 'none',
    end: reading.end ?? 'carried',
    held: reading.held === undefined ? '' : String(reading.held),
    lowered: reading.lowered ?? false,
    display: shownBy(reading.display),
    temperatures: typedTemperatures(reading.temperatures),
    observed: reading.observed ?? '',
    note: reading.note ?? '',
    step: reading.step,
    position: reading.position,
  }
}

const shownBy = (display: EntryOf<'ladder'>['reading']['display']): Draft['display'] =>
  Object.fromEntries(shownFields.map((key) => [key, typeShown(display, key)])) as Record<ShownField, string>
