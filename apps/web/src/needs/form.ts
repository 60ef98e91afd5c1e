import type { BatteryKind, NeedLine } from '@even-watt/core'
import { remembered, resembles } from '../ui/browserStore'
import { readNumber } from '../ui/form'
import { readLength } from '../ui/units'

export interface LineForm {
  name: string
  watts: string
  hours: string
  inrush: string
}

export interface NeedsForm {
  lines: LineForm[]
  days: string
  volts: string
  capacity: string
  usable: string
  limit: string
  length: string
}

export const blankLine: LineForm = { name: '', watts: '', hours: '', inrush: '' }

export const blankNeeds: NeedsForm = {
  lines: [blankLine],
  days: '1',
  volts: '12.8',
  capacity: '100',
  usable: '80',
  limit: '100',
  length: '1.2',
}

const key = 'what you would need'

/** What was typed last on this browser: an owner's loads belong to nobody's trial. */
export function keptNeeds(): NeedsForm {
  const text = remembered.read(key)
  try {
    const kept: unknown = text === undefined ? undefined : JSON.parse(text)
    return resembles(blankNeeds, kept) && kept.lines.length ? kept : blankNeeds
  } catch {
    return blankNeeds
  }
}
export const keepNeeds = (form: NeedsForm): void => remembered.keep(key, JSON.stringify(form))

export interface ReadNeeds {
  readonly lines: readonly NeedLine[]
  readonly days: number
  readonly battery: BatteryKind
  /** m, one way. */
  readonly length: number
  /** By the path of the field: what is wrong there. */
  readonly faults: ReadonlyMap<string, string>
}

/** What was typed, as far as it can be read; the rest is named at its field and left out. */
export function readNeeds(form: NeedsForm): ReadNeeds {
  const faults = new Map<string, string>()
  const number = (path: string, text: string, low: number, high: number, unit: string, usual: number) => {
    const { value, why } = readNumber(text)
    if (why !== undefined) faults.set(path, why)
    else if (value !== undefined && (value < low || value > high))
      faults.set(path, `From ${low} to ${high} ${unit}.`)
    return value !== undefined && value >= low && value <= high ? value : usual
  }
  const lines = form.lines.map((line, i): NeedLine => {
    const inrush = number(`lines.${i}.inrush`, line.inrush, 1, 50, 'times', 1)
    return {
      name: line.name.trim() || `load ${i + 1}`,
      watts: number(`lines.${i}.watts`, line.watts, 0, 100_000, 'W', 0),
      hours: number(`lines.${i}.hours`, line.hours, 0, 24, 'h', 0),
      ...(inrush > 1 ? { inrush } : {}),
    }
  })
  const length = readNumber(form.length, readLength)
  if (length.why !== undefined) faults.set('length', length.why)
  const limit = number('limit', form.limit, 1, 10_000, 'A', 0)
  return {
    lines,
    days: number('days', form.days, 0.1, 60, 'days', 1),
    battery: {
      volts: number('volts', form.volts, 1, 1000, 'V', 12.8),
      capacity: number('capacity', form.capacity, 1, 10_000, 'Ah', 100),
      usable: number('usable', form.usable, 5, 100, '%', 80) / 100,
      limit: limit > 0 ? limit : undefined,
    },
    length: length.value !== undefined && length.value > 0 && length.value <= 100 ? length.value : 1.2,
    faults,
  }
}
