import {
  BegunLog,
  CheckIn,
  logEnds,
  logEvents,
  sentences,
  type Entry,
  type LogKind,
  type Revision,
} from '@even-watt/contract'
import { askedOf, quantityData, type Stretch } from '@even-watt/core'
import { safeParse } from 'zod/mini'
import { readTemperatures } from '../../evidence/temperatures'
import { emptyDraft, readDraft } from '../../ladder/draft'
import { readNumber } from '../../ui/form'
import { fieldsIn, note, time, type SheetColumn, type SheetRow, type SheetTable, type Written } from './boxes'
import type { Context, Read } from './context'

/** Blocks whose boxes are looks at one log. A hold at rated power is a step, with the ladder’s boxes. */
type HoursKind = Extract<LogKind, 'run-down' | 'soak' | 'charge'>
export const isOfHours = (kind: Stretch['kind'] | LogKind | 'motors'): kind is HoursKind =>
  kind === 'run-down' || kind === 'soak' || kind === 'charge'

/** Lines of looks in between, at most: a page. */
const mostLooks = 20

/** What a look reads: what the meters hang for, its gauge, its warmth, what happened. */
export const hoursColumns = (kind: HoursKind, revision: Revision): SheetColumn[] => [
  time,
  ...askedOf(kind, revision).map(({ quantity, meter }) => ({
    key: `${quantity}|${meter ?? ''}`,
    head: quantity,
    unit: quantityData[quantity].unit,
    meter,
  })),
  ...(kind === 'soak' ? [] : [{ key: 'charge', head: 'gauge', unit: '%' }]),
  { key: 'case', head: 'case', unit: '°C' },
  { key: 'event', head: 'what happened', unit: '', choices: logEvents },
  { key: 'ended', head: 'it ended', unit: '', choices: logEnds },
  note,
]

/** A line for the beginning, one for each look, rarer where they would fill more than a page, and one for the end. */
export function hoursRows(
  block: string,
  minutes: number,
  every: number,
  watts: number | undefined,
): SheetRow[] {
  const apart = every * Math.max(1, Math.ceil(minutes / every / mostLooks))
  const looks = Math.max(0, Math.ceil(minutes / apart - 1e-9) - 1)
  const expected = watts === undefined ? {} : { expected: watts }
  return [
    { id: `${block} begin`, label: 'it begins', ...expected },
    ...Array.from({ length: looks }, (_, i) => ({
      id: `${block} ${i + 1}`,
      label: `after ${(i + 1) * apart} min`,
    })),
    { id: `${block} end`, label: 'its end' },
  ]
}

/** A line as a look at the log; the first begins it. */
export function readHours(
  what: HoursKind,
  table: SheetTable,
  row: SheetRow,
  written: Written,
  { newId, revision, at, log }: Context,
): Read {
  const { values, faults: unread } = readDraft({ ...emptyDraft, texts: written }, fieldsIn(table))
  const faults: Record<string, string> = { ...unread }
  for (const { quantity, value, meter } of values)
    if (value < 0 && quantityData[quantity].unit === 'Wh')
      faults[`${quantity}|${meter ?? ''}`] =
        'Watt-hours counted are not below 0: is the meter the other way round?'
  const gauge = readNumber(written['charge'])
  if (gauge.why !== undefined) faults['charge'] = gauge.why
  const { temperatures, fault } = readTemperatures([{ where: 'case', text: written['case'] ?? '' }])
  if (fault !== undefined) faults['case'] = fault
  const words = (key: string) => written[key]?.trim() || undefined
  const first = row === table.rows[0]
  if (!first && !log) faults['log'] = 'Take over the first line first: it begins this log.'
  const id = newId()
  const looked = {
    log: first ? id : log?.id,
    values,
    charge: gauge.value === undefined ? undefined : gauge.value / 100,
    ...(temperatures.length ? { temperatures } : {}),
    event: words('event'),
    ended: words('ended'),
    note: words('note'),
  }
  const read =
    values.length ||
    Object.values(looked)
      .slice(2)
      .some((one) => one !== undefined)
  if (!first && !read) faults['values'] = 'Nothing is written here yet.'
  const entries: Entry[] = []
  if (first) {
    const begun = safeParse(BegunLog, {
      what,
      watts: row.expected,
      block: table.block,
      ...(what === 'charge' ? { source: 'wall' } : {}),
    })
    if (begun.success) entries.push({ id, revision, at, kind: 'log', reading: begun.data })
    else for (const { path, message } of sentences(begun.error)) faults[path] ??= message
  }
  if (read) {
    const checked = safeParse(CheckIn, looked)
    if (checked.success) entries.push({ id: newId(), revision, at, kind: 'check-in', reading: checked.data })
    else if (log || first) for (const { path, message } of sentences(checked.error)) faults[path] ??= message
  }
  return { entries, faults }
}
