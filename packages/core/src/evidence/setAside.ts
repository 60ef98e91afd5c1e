import type { EntryOf, Quantity } from '@even-watt/contract'
import type { Refusal } from '../figures'
import { readingsOf, type RevisionRecord } from '../trials'
import type { Gate } from './gate'

/** Values of one quantity, read on one meter, that the gate refused for one reason. */
export interface SetAsideValues extends Refusal {
  readonly quantity: Quantity
  /** Name of the meter; undefined: none. */
  readonly meter: string | undefined
  readonly readings: readonly EntryOf<'ladder' | 'no load'>[]
}

/** All values of standing readings that decide nothing, by quantity, meter and reason, in the order they were first met. */
export function setAsideOf(record: RevisionRecord, gate: Gate): SetAsideValues[] {
  const found = new Map<string, SetAsideValues & { readings: EntryOf<'ladder' | 'no load'>[] }>()
  for (const entry of [...readingsOf(record, 'no load'), ...readingsOf(record, 'ladder')]) {
    for (const value of entry.reading.values) {
      const refusal = gate(value, entry.id)
      if (!refusal) continue
      const meter = record.revision.meters.find(({ id }) => id === value.meter)?.name
      const key = `${value.quantity}|${meter}|${refusal.why}`
      const one = found.get(key) ?? { quantity: value.quantity, meter, ...refusal, readings: [] }
      found.set(key, one)
      if (one.readings.at(-1) !== entry) one.readings.push(entry)
    }
  }
  return [...found.values()]
}
