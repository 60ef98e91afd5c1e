import type { Meter, Readable } from '@even-watt/contract'
import { typicalMeter, type MeterKind } from './typical'

/** Words that tell a kind, the more telling first. */
const kindWords: readonly (readonly [RegExp, MeterKind])[] = [
  [/\busb\b/, 'USB meter'],
  [/sound|noise|\bdb\b/, 'sound level meter'],
  [/clamp|tongs/, 'clamp'],
  [/\bdc\b.*watt|watt.*\bdc\b|\bwh\b.*\bdc\b/, 'DC wattmeter'],
  [/plug|wattmeter|watt meter|energy meter|outlet/, 'plug meter'],
  [/\bapp\b|bms/, 'battery’s app'],
  [/shunt|monitor/, 'shunt monitor'],
  [/panel|display/, 'panel display'],
  [/4 ?digits|4000|6000|true.?rms/, 'hand-held meter, 4 digits'],
  [/multimeter|dmm|meter|hand/, 'hand-held meter, 3½ digits'],
]

/** What an accuracy in the line is of. */
const mainly: Readonly<Record<MeterKind, readonly Readable[]>> = {
  'hand-held meter, 3½ digits': ['DC voltage'],
  'hand-held meter, 4 digits': ['DC voltage'],
  clamp: ['DC current', 'AC current'],
  'plug meter': ['active power', 'AC voltage', 'AC current'],
  'shunt monitor': ['DC current', 'DC voltage'],
  'DC wattmeter': ['DC power', 'DC current', 'DC voltage', 'charge', 'energy'],
  'battery’s app': ['DC current', 'DC voltage'],
  'panel display': ['DC voltage'],
  'USB meter': ['DC voltage', 'DC current'],
  'sound level meter': ['sound level'],
}

const unitOf: Readonly<Partial<Record<Readable, string>>> = {
  'DC voltage': 'v',
  'AC voltage': 'v',
  'DC current': 'a',
  'AC current': 'a',
  'active power': 'w',
  'DC power': 'w',
}

const longest = 120
const number = (text: string | undefined) => Number((text ?? '').replace(',', '.'))

/**
 * A meter from one line, "clamp 400 A 2 % + 3": its kind, full scale and accuracy where they are said, all else as is
 * typical of its kind. What has no accuracy of its own stays marked typical. Undefined where no kind of meter is named.
 */
export function meterFromLine(line: string, newId: () => string): Meter | undefined {
  const text = line.trim().slice(0, longest)
  const low = text.toLowerCase()
  const kind = kindWords.find(([words]) => words.test(low))?.[1]
  if (!kind) return undefined
  const typical = typicalMeter(kind, newId)
  const accuracy = /(\d{1,3}(?:[.,]\d{1,3})?) ?%(?: ?(?:rdg)? ?\+ ?(\d{1,4}))?/.exec(low)
  const scale = /(\d{1,5}(?:[.,]\d{1,3})?) ?(k?)([avw])\b/.exec(low.replace(accuracy?.[0] ?? '', ' '))
  const ranges = typical.ranges.map((range) => {
    if (!mainly[kind].includes(range.reads)) return range
    const upTo =
      scale?.[3] === unitOf[range.reads] ? number(scale?.[1]) * (scale?.[2] ? 1000 : 1) : range.upTo
    return {
      ...range,
      ...(upTo > 0 && upTo !== range.upTo ? { upTo, count: countFor(upTo) } : {}),
      ...(accuracy ? { percent: Math.min(100, number(accuracy[1])), counts: Number(accuracy[2] ?? 0) } : {}),
    }
  })
  const meter: Meter = { ...typical, name: text, ranges }
  if (accuracy) delete meter.typical
  return meter
}

/** Count of a display of 6000 at a full scale. */
const countFor = (upTo: number): number => Number((10 ** Math.ceil(Math.log10(upTo / 6000))).toPrecision(1))
