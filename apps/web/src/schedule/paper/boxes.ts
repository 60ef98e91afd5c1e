import type { LadderPlanned, LogKind } from '@even-watt/contract'
import { quantityData } from '@even-watt/core'
import type { EntryField } from '../../ladder/draft'

/** One box of the sheet. */
export interface SheetColumn {
  readonly key: string
  readonly head: string
  readonly unit: string
  readonly meter?: string | undefined
  /** Only these may be written. */
  readonly choices?: readonly string[]
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
  readonly kind: 'no load' | 'ladder' | 'motors' | LogKind
  /** When it is planned to begin, ms since 1970. */
  readonly from: number
  readonly columns: readonly SheetColumn[]
  readonly rows: readonly SheetRow[]
}

export const time: SheetColumn = { key: 'time', head: 'time', unit: '' }
export const note: SheetColumn = { key: 'note', head: 'note', unit: '' }

/** The box of what is read on a meter. */
export const column = ({ key, quantity, meter }: EntryField, head: string = quantity): SheetColumn => ({
  key,
  head,
  unit: quantityData[quantity].unit,
  meter,
})

/** Fields of a table's metered columns. */
export const fieldsIn = (table: SheetTable): EntryField[] =>
  table.columns.flatMap(({ key, meter }): EntryField[] => {
    const name = key.split('|')[0] ?? ''
    const quantity = name === 'idle I' ? 'I' : name
    return key.includes('|') && quantity in quantityData
      ? [{ key, quantity: quantity as EntryField['quantity'], meter }]
      : []
  })

/** A row as it was written: text by box. */
export type Written = Readonly<Record<string, string>>
