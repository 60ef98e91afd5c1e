import {
  MotorAttempt,
  NoLoadReading,
  sentences,
  type Entry,
  type LadderPlanned,
  type Rig,
  type StoredLoad,
} from '@even-watt/contract'
import { kindOfUses, quantityData, sayUses, type Scheduled } from '@even-watt/core'
import { safeParse } from 'zod/mini'
import { buildEntry, emptyDraft, fieldsOf, readDraft, type EntryField } from '../ladder/draft'
import { readNumber } from '../ui/form'

/** One box of the sheet. */
export interface SheetColumn {
  readonly key: string
  readonly head: string
  readonly unit: string
  readonly meter?: string | undefined
}

export interface SheetRow {
  readonly id: string
  readonly label: string
  /** W at the outlet, where something is expected. */
  readonly expected?: number
  readonly uses?: LadderPlanned['steps'][number]['uses']
}

export interface SheetTable {
  readonly block: string
  readonly kind: 'no load' | 'ladder' | 'motors' | 'rated hold'
  /** When it is planned to begin, ms since 1970. */
  readonly from: number
  readonly columns: readonly SheetColumn[]
  readonly rows: readonly SheetRow[]
}

const time: SheetColumn = { key: 'time', head: 'time', unit: '' }
const note: SheetColumn = { key: 'note', head: 'note', unit: '' }

const column = ({ key, quantity, meter }: EntryField, head: string = quantity): SheetColumn => ({
  key,
  head,
  unit: quantityData[quantity].unit,
  meter,
})

/** What is read without load: idle current on its own meter, volts and frequency on theirs. */
function idleFields(rig: Rig): EntryField[] {
  const idle = rig.assignments.some(({ quantity }) => quantity === 'idle I')
  return rig.assignments.flatMap(({ quantity, meter }): EntryField[] => {
    if (quantity === 'idle I') return [{ key: `idle I|${meter}`, quantity: 'I', meter }]
    const read = ['V_A', 'V_B', 'V_C', 'f', 'THD', ...(idle ? [] : ['I'])].includes(quantity)
    return read ? [{ key: `${quantity}|${meter}`, quantity, meter }] : []
  })
}

const metered = (rig: Rig): EntryField[] => {
  const fields = fieldsOf(rig)
  const hung = fields.filter(({ meter }) => meter !== undefined)
  return hung.length ? hung : fields.filter(({ quantity }) => ['V_B', 'I', 'V_C', 'P_C'].includes(quantity))
}

const motorColumns: readonly SheetColumn[] = [
  time,
  { key: 'state', head: 'its state', unit: '' },
  { key: 'bankBefore', head: 'bank before', unit: 'V' },
  { key: 'lowestOutput', head: 'lowest V_C', unit: 'V' },
  { key: 'peakCurrent', head: 'peak', unit: 'A' },
  { key: 'outcome', head: 'outcome', unit: '' },
  note,
]

interface Sources {
  readonly made: Scheduled
  readonly plan: LadderPlanned | undefined
  readonly loads: readonly StoredLoad[]
  readonly rig: Rig
}

/** The boxes of a schedule, in the order in which they are filled: blocks in time, meters in reading order. */
export function sheetOf({ made, plan, loads, rig }: Sources): SheetTable[] {
  const steps = plan?.steps.filter(({ uses }) => uses.length) ?? []
  const ladder = [time, ...metered(rig).map((field) => column(field)), note]
  const seen = new Set<string>()
  return made.placed.flatMap(({ block, kind, part, from, pieces }): SheetTable[] => {
    if (part || seen.has(block)) return []
    seen.add(block)
    if (kind === 'no load') {
      const columns = idleFields(rig).map((field) =>
        column(field, field.key.startsWith('idle') ? 'idle I' : field.quantity),
      )
      return [
        {
          block,
          kind,
          from,
          columns: [time, ...columns, note],
          rows: [{ id: block, label: 'nothing connected' }],
        },
      ]
    }
    if (kind === 'ladder') {
      const rows = steps.length
        ? steps.map(({ uses, expected }, i) => ({
            id: `${block} ${i}`,
            label: sayUses(loads, uses),
            expected,
            uses,
          }))
        : pieces.map(({ what, watts }, i) => ({
            id: `${block} ${i}`,
            label: what,
            ...(watts === undefined ? {} : { expected: watts }),
          }))
      return [{ block, kind, from, columns: ladder, rows }]
    }
    if (kind === 'rated hold') {
      const held: SheetColumn = { key: 'held', head: 'held', unit: 's' }
      const watts = pieces[0]?.watts
      const row = { id: block, label: 'hold', ...(watts === undefined ? {} : { expected: watts }) }
      return [{ block, kind, from, columns: [...ladder.slice(0, -1), held, note], rows: [row] }]
    }
    if (kind === 'motors' || kind === 'motors, bank low') {
      const rows = pieces
        .filter((_, i) => i % 2 === 0)
        .map(({ what, watts }) => ({
          id: `${block} ${what}`,
          label: what,
          ...(watts === undefined ? {} : { expected: watts }),
        }))
      return rows.length ? [{ block, kind: 'motors', from, columns: motorColumns, rows }] : []
    }
    return []
  })
}

export type Written = Readonly<Record<string, string>>

interface Context {
  readonly ids: { readonly id: string; readonly step: string }
  readonly revision: number
  /** The moment that the time written means, ISO. */
  readonly at: string
  readonly position: number
  readonly attempt: number
  readonly loads: readonly StoredLoad[]
}

export interface ReadRow {
  readonly entry?: Entry
  /** Sentences by column. */
  readonly faults: Readonly<Record<string, string>>
}

/** A row as it was written on paper, as an entry; or what is wrong at which box. */
export function readRow(table: SheetTable, row: SheetRow, written: Written, context: Context): ReadRow {
  const faults: Record<string, string> = {}
  const clock = written['time']?.trim()
  if (clock && !/^([01]?\d|2[0-3]):[0-5]\d$/.test(clock)) {
    faults['time'] = `Time: a time of day like 10:42, not "${clock.slice(0, 20)}".`
  }
  const { entry, faults: found } =
    table.kind === 'no load'
      ? readIdle(table, written, context)
      : table.kind === 'motors'
        ? readAttempt(row, written, context)
        : readStep(table, row, written, context)
  Object.assign(faults, found)
  return entry && !Object.keys(faults).length ? { entry, faults } : { faults }
}

/** Fields of a table's metered columns. */
const fieldsIn = (table: SheetTable): EntryField[] =>
  table.columns.flatMap(({ key, meter }): EntryField[] => {
    const name = key.split('|')[0] ?? ''
    const quantity = name === 'idle I' ? 'I' : name
    return key.includes('|') && quantity in quantityData
      ? [{ key, quantity: quantity as EntryField['quantity'], meter }]
      : []
  })

const base = ({ ids, revision, at }: Context) => ({ id: ids.id, revision, at })

function readIdle(table: SheetTable, written: Written, context: Context): ReadRow {
  const { values, faults } = readDraft({ ...emptyDraft, texts: written }, fieldsIn(table))
  const note = written['note']?.trim()
  const checked = safeParse(NoLoadReading, { values, mode: 'on', ...(note ? { note } : {}) })
  if (!values.length) return { faults: { ...faults, values: 'Nothing is written here yet.' } }
  if (!checked.success) return { faults: { ...faults, values: sentences(checked.error)[0]?.message ?? '' } }
  return { faults, entry: { ...base(context), kind: 'no load', reading: checked.data } }
}

function readStep(table: SheetTable, row: SheetRow, written: Written, context: Context): ReadRow {
  const draft = {
    ...emptyDraft,
    load: row.label,
    kind: row.uses ? kindOfUses(context.loads, row.uses) : emptyDraft.kind,
    uses: row.uses,
    expected: row.expected,
    texts: written,
    held: written['held'] ?? '',
    note: written['note'] ?? '',
  }
  return buildEntry(draft, fieldsIn(table), { ...context.ids, ...context })
}

function readAttempt(row: SheetRow, written: Written, context: Context): ReadRow {
  const faults: Record<string, string> = {}
  const number = (key: string) => {
    const { value, why } = readNumber(written[key])
    if (why !== undefined) faults[key] = why
    return value === undefined ? {} : { [key]: value }
  }
  const words = (key: string) => (written[key]?.trim() ? { [key]: written[key]?.trim() } : {})
  const checked = safeParse(MotorAttempt, {
    number: context.attempt,
    load: row.label,
    ...words('state'),
    ...number('bankBefore'),
    ...number('lowestOutput'),
    ...number('peakCurrent'),
    outcome: written['outcome']?.trim(),
    ...words('note'),
  })
  if (checked.success) return { faults, entry: { ...base(context), kind: 'motors', reading: checked.data } }
  for (const { path, message } of sentences(checked.error)) faults[path] ??= message
  return { faults }
}
