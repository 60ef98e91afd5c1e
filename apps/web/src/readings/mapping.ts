import {
  alarms,
  ends,
  Entry,
  fanStates,
  loadKinds,
  sentences,
  type EntryOf,
  type Quantity,
  type Revision,
} from '@even-watt/contract'
import {
  parseNumber,
  parseTemperature,
  quantities,
  quantityData,
  readDisplay,
  saysCelsius,
  saysFahrenheit,
  shortened,
  writing,
  type ShownField,
} from '@even-watt/core'
import { safeParse } from 'zod/mini'
import { bounds } from './readTable'
import { shownTargets, type Mapping, type Target } from './targets'
import { readTime } from './time'

export interface Fault {
  /** Row in the file, the heading being row 1. */
  readonly row: number
  readonly sentence: string
}

export interface Mapped {
  readonly entries: readonly EntryOf<'ladder'>[]
  readonly faults: readonly Fault[]
}

interface Context {
  readonly revision: Revision
  readonly position: number
  readonly at: string
  readonly newId: () => string
  /** Whether THD comes in per cent, as people write it, or as a fraction. */
  readonly thdInPercent: boolean
  /** The day that times of day belong to, "2026-03-12". */
  readonly day: string
  /** Ranges that meters stood on, by quantity, where they had several that hold the values. */
  readonly ranges: ReadonlyMap<Quantity, string>
  /** Headings of the columns: one that names °C or °F is read in that. */
  readonly header: readonly string[]
}

const choices: Partial<Record<Target, readonly string[]>> = {
  kind: loadKinds,
  fan: fanStates,
  alarm: alarms,
  end: ends,
}

/** Rows as ladder readings. Neighbouring rows with the same load are repeats of one step. A broken row yields a sentence and no reading. */
export function mapRows(rows: readonly (readonly string[])[], mapping: Mapping, context: Context): Mapped {
  const entries: EntryOf<'ladder'>[] = []
  const faults: Fault[] = []
  const meterOf = new Map(
    context.revision.rig.assignments.map((assignment) => [assignment.quantity, assignment.meter]),
  )
  const named = [...mapping.values()].includes('load')
  const heading = context.header[[...mapping].find(([, target]) => target === 'T')?.[0] ?? -1] ?? ''
  const degrees = saysFahrenheit(heading) ? '°F' : saysCelsius(heading) ? '°C' : writing().temperature
  let before: { load: string; step: string } | undefined
  let position = context.position
  let lastTime: string | undefined

  rows.forEach((cells, i) => {
    const row = i + 2
    const fault = (sentence: string) => faults.push({ row, sentence })
    const count = faults.length
    const texts = new Map<Target, string>()
    for (const [column, target] of mapping) {
      const text = cells[column]?.trim()
      if (text) texts.set(target, text)
    }
    if (texts.size === 0) return

    const timeText = texts.get('time')
    const time = timeText === undefined ? undefined : readTime(timeText, context.day, lastTime)
    if (timeText !== undefined && time === undefined)
      fault(`time: "${timeText.slice(0, 24)}" is no time. Accepted: 9:12, 09:12:30, 2026-03-12 09:12:30.`)
    lastTime = time ?? lastTime

    const values = quantities.flatMap((quantity): EntryOf<'ladder'>['reading']['values'] => {
      const text = texts.get(quantity)
      if (text === undefined) return []
      const parsed = quantity === 'T' ? parseTemperature(text, degrees) : parseNumber(text)
      if (!parsed.ok || Math.abs(parsed.value) > 1e6) {
        fault(`${quantity}: ${parsed.ok ? `${text.slice(0, 24)} is out of reach` : parsed.why}`)
        return []
      }
      const inPercent = quantityData[quantity].unit === '%' && context.thdInPercent
      const meter = meterOf.get(quantity)
      const range = context.ranges.get(quantity)
      return [
        {
          quantity,
          value: inPercent ? shortened(parsed.value / 100, 15) : parsed.value,
          grade: meter ? 'measured' : 'observed',
          ...(meter ? { meter } : {}),
          ...(meter && range ? { range } : {}),
          ...(time ? { at: time } : {}),
        },
      ]
    })
    const choice = <T extends string>(target: Target): T | undefined => {
      const text = texts.get(target)?.toLowerCase()
      if (text === undefined) return undefined
      if (choices[target]?.includes(text)) return text as T
      fault(`${target}: "${text.slice(0, 24)}" is not one of ${choices[target]?.join(', ')}.`)
      return undefined
    }
    const load = texts.get('load') ?? (named ? '' : `step ${i + 1}`)
    if (!load) fault('load: say what was connected.')
    const display = shownIn(texts, fault)
    if (!values.length && !display && faults.length === count)
      fault('no value of any quantity is in this row.')
    const held = texts.get('held')
    const heldFor = held === undefined ? undefined : parseNumber(held)
    if (heldFor && (!heldFor.ok || heldFor.value <= 0))
      fault(`held: "${held?.slice(0, 24)}" is not a number of seconds above 0.`)
    const [kind, fan, alarm, end] = [
      choice<(typeof loadKinds)[number]>('kind'),
      choice<(typeof fanStates)[number]>('fan'),
      choice<(typeof alarms)[number]>('alarm'),
      choice<(typeof ends)[number]>('end'),
    ]
    if (faults.length > count) return

    const repeats = before?.load === load
    const step = repeats && before ? before.step : context.newId()
    if (!repeats) position += 10
    before = { load, step }
    const observed = texts.get('seen and heard')
    const note = texts.get('note')
    const entry: EntryOf<'ladder'> = {
      id: context.newId(),
      kind: 'ladder',
      revision: context.revision.number,
      at: time ?? context.at,
      reading: {
        step,
        position,
        load,
        kind: kind ?? 'element',
        values,
        ...(display ? { display } : {}),
        ...(fan ? { fan } : {}),
        ...(alarm ? { alarm } : {}),
        ...(end ? { end } : {}),
        ...(heldFor?.ok ? { held: heldFor.value } : {}),
        ...(observed ? { observed } : {}),
        ...(note ? { note } : {}),
      },
    }
    // What the server would refuse, with all other rows, is told here with its row; of more than it takes at once nothing is sent.
    const refused = entries.length < bounds.atOnce ? safeParse(Entry, entry).error : undefined
    if (refused) for (const { message } of sentences(refused)) fault(message)
    else entries.push(entry)
  })
  return { entries, faults }
}

/** What the unit’s own display showed in a row; undefined: nothing. */
function shownIn(
  texts: ReadonlyMap<Target, string>,
  fault: (sentence: string) => void,
): EntryOf<'ladder'>['reading']['display'] {
  const targets = Object.entries(shownTargets) as [Target, ShownField][]
  const { display, faults } = readDisplay(
    Object.fromEntries(targets.map(([target, key]) => [key, texts.get(target)])),
  )
  for (const [key, why] of faults)
    fault(`${targets.find(([, of]) => of === key)?.[0] ?? 'display'}: ${why.replace('Display: ', '')}`)
  return display
}
