import { MotorAttempt, NoLoadReading, sentences } from '@even-watt/contract'
import { kindOfUses } from '@even-watt/core'
import { safeParse } from 'zod/mini'
import { buildEntry, emptyDraft, readDraft } from '../../ladder/draft'
import { readNumber } from '../../ui/form'
import type { Context, Read } from './context'
import { isOfHours, readHours } from './hours'
import { fieldsIn, type SheetRow, type SheetTable, type Written } from './boxes'

/** A row as it was written on paper, as an entry; or what is wrong at which box. */
export function readRow(table: SheetTable, row: SheetRow, written: Written, context: Context): Read {
  const faults: Record<string, string> = {}
  const clock = written['time']?.trim()
  if (clock && !/^([01]?\d|2[0-3]):[0-5]\d$/.test(clock)) {
    faults['time'] = `Time: a time of day like 10:42, not "${clock.slice(0, 20)}".`
  }
  const { entries, faults: found } =
    table.kind === 'no load'
      ? readIdle(table, written, context)
      : table.kind === 'motors'
        ? readAttempt(row, written, context)
        : isOfHours(table.kind)
          ? readHours(table.kind, table, row, written, context)
          : readStep(table, row, written, context)
  Object.assign(faults, found)
  return { entries: Object.keys(faults).length ? [] : entries, faults }
}

const base = ({ newId, revision, at }: Context) => ({ id: newId(), revision, at })

function readIdle(table: SheetTable, written: Written, context: Context): Read {
  const { values, faults } = readDraft({ ...emptyDraft, texts: written }, fieldsIn(table))
  const note = written['note']?.trim()
  const checked = safeParse(NoLoadReading, { values, mode: 'on', ...(note ? { note } : {}) })
  if (!values.length) return { entries: [], faults: { ...faults, values: 'Nothing is written here yet.' } }
  if (!checked.success)
    return { entries: [], faults: { ...faults, values: sentences(checked.error)[0]?.message ?? '' } }
  return { faults, entries: [{ ...base(context), kind: 'no load', reading: checked.data }] }
}

function readStep(table: SheetTable, row: SheetRow, written: Written, context: Context): Read {
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
  const { newId } = context
  const { entry, faults } = buildEntry(draft, fieldsIn(table), { ...context, id: newId(), step: newId() })
  return { entries: [entry], faults }
}

function readAttempt(row: SheetRow, written: Written, context: Context): Read {
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
  if (checked.success)
    return { faults, entries: [{ ...base(context), kind: 'motors', reading: checked.data }] }
  for (const { path, message } of sentences(checked.error)) faults[path] ??= message
  return { entries: [], faults }
}
