import {
  startOutcomes,
  type LadderPlanned,
  type Revision,
  type Rig,
  type StoredLoad,
} from '@even-watt/contract'
import { sayUses, type Scheduled } from '@even-watt/core'
import { fieldsOf, type EntryField } from '../../ladder/draft'
import { column, note, time, type SheetColumn, type SheetTable } from './boxes'
import { hoursColumns, hoursRows, isOfHours } from './hours'

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
  { key: 'outcome', head: 'outcome', unit: '', choices: startOutcomes },
  note,
]

interface Sources {
  readonly made: Scheduled
  readonly plan: LadderPlanned | undefined
  readonly loads: readonly StoredLoad[]
  readonly revision: Revision
  /** Minutes between looks at what takes hours. */
  readonly every: number
}

/** The boxes of a schedule, in the order in which they are filled: blocks in time, meters in reading order. */
export function sheetOf({ made, plan, loads, revision, every }: Sources): SheetTable[] {
  const { rig } = revision
  const steps = plan?.steps.filter(({ uses }) => uses.length) ?? []
  const ladder = [time, ...metered(rig).map((field) => column(field)), note]
  const seen = new Set<string>()
  return made.placed.flatMap(({ block, kind, part, from, to, pieces }): SheetTable[] => {
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
    if (isOfHours(kind)) {
      const rows = hoursRows(block, (to - from) / 60_000, every, pieces[0]?.watts)
      return [{ block, kind, from, columns: hoursColumns(kind, revision), rows }]
    }
    return []
  })
}
