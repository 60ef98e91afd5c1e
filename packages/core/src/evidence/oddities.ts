import type { Entry, Quantity, StoredMeter, Value } from '@even-watt/contract'
import { rangeFor, rounding } from '../meters'
import type { Notice, Oddity, OddityContext } from '../oddities'
import { unfitOnWave } from './fitness'
import { quantityData } from './quantities'
import { readingsOf } from '../trials'

interface Seen {
  readonly value: Value
  readonly meter: StoredMeter
  readonly at: Oddity['at']
}

const entriesOf = ({ analysis }: OddityContext): Extract<Entry, { kind: 'ladder' | 'no load' }>[] => [
  ...readingsOf(analysis.record, 'no load'),
  ...readingsOf(analysis.record, 'ladder'),
]

const seenIn = new WeakMap<OddityContext, Seen[]>()

/** Every value read on a named meter, with the place it stands at; gathered once for all who look. */
function valuesOf(context: OddityContext): Seen[] {
  const known = seenIn.get(context) ?? gather(context)
  seenIn.set(context, known)
  return known
}

function gather(context: OddityContext): Seen[] {
  const { revision } = context.analysis.record
  const meters = new Map(revision.meters.map((meter) => [meter.id, meter]))
  return entriesOf(context).flatMap((entry) =>
    entry.reading.values.flatMap((value) => {
      const meter = value.meter === undefined ? undefined : meters.get(value.meter)
      if (!meter) return []
      const step = entry.kind === 'ladder' ? { step: entry.reading.step } : {}
      return [
        {
          value,
          meter,
          at: { revision: revision.number, entry: entry.id, quantity: value.quantity, ...step },
        },
      ]
    }),
  )
}

/** Keeps one oddity for each meter and quantity, so that forty rows do not say the same. */
function oncePerMeter(found: readonly (Oddity & { key: string })[]): Oddity[] {
  const seen = new Map<string, Oddity>()
  for (const { key, ...oddity } of found) if (!seen.has(key)) seen.set(key, oddity)
  return [...seen.values()]
}

/** 6: an average-responding meter, or one that does not stand the wave, on a non-sine. */
export const noticeUnfitMeter: Notice = (context) => {
  const unfit = unfitOnWave(context.unit)
  return oncePerMeter(
    valuesOf(context).flatMap(({ value, meter, at }) => {
      const reason = unfit(meter, value)
      return reason
        ? [
            {
              key: `${meter.id}|${value.quantity}`,
              number: 6,
              odd: `${meter.name} reads ${value.quantity}, but ${reason}`,
              why: 'On a stepped wave such a meter may read some per cent low or high, by the width of the plateau.',
              todo: 'Use a true-RMS meter with enough bandwidth; its reading is set aside where there is another.',
              at,
            },
          ]
        : []
    }),
  )
}

/** 8: near or over a range. */
export const noticeRange: Notice = (context) =>
  oncePerMeter(
    valuesOf(context).flatMap(({ value, meter, at }) => {
      const { reads, unit } = quantityData[value.quantity]
      const range = rangeFor(meter.ranges, reads, value.value)
      if (!range || Math.abs(value.value) <= 0.95 * range.upTo) return []
      const over = Math.abs(value.value) > range.upTo
      if (!over && meter.ranges.some((other) => other.reads === reads && other.upTo > range.upTo)) return []
      if (!over && (reads === 'power factor' || reads === 'THD')) return []
      return [
        {
          key: `${at.step ?? at.entry}|${value.quantity}`,
          number: 8,
          odd: `${value.value} ${unit} is ${over ? 'over' : 'within 5 % of'} the ${range.upTo} ${unit} range of ${meter.name}.`,
          why: over ? 'No specification covers it.' : 'The next step may overload the meter.',
          todo: 'Use a meter with a higher range.',
          at,
        },
      ]
    }),
  )

/** 11: one count of the meter is a large share of what it reads. */
export const noticeCoarse: Notice = (context) =>
  oncePerMeter(
    valuesOf(context).flatMap(({ value, meter, at }) => {
      const { reads, unit } = quantityData[value.quantity]
      const range = rangeFor(meter.ranges, reads, value.value)
      if (!range || reads === 'THD' || reads === 'temperature' || value.value === 0) return []
      if (value.quantity === 'I' && at.step === undefined) return []
      if (Math.abs(value.value) / range.count >= 20) return []
      return [
        {
          key: `${meter.id}|${value.quantity}`,
          number: 11,
          odd: `${value.value} ${unit} is only ${(Math.abs(value.value) / range.count).toFixed(0)} counts of ${meter.name}.`,
          why: `Rounding alone is ${((100 * rounding(range.count)) / Math.abs(value.value)).toFixed(1)} % here.`,
          todo: 'Take a lower range or a finer meter for the small steps.',
          at,
        },
      ]
    }),
  )

const dc: readonly Quantity[] = ['V_A', 'V_B', 'I']
const ac: readonly Quantity[] = ['V_C', 'I_C', 'P_C']

/** 9: input and output read more than 30 s apart, or repeats that still drift one way. */
export const noticeTiming: Notice = (context) => {
  return entriesOf(context).flatMap((entry): Oddity[] => {
    const times = (which: readonly Quantity[]) =>
      entry.reading.values.flatMap((value) =>
        value.at && which.includes(value.quantity) ? [secondsOf(value.at)] : [],
      )
    const [input, output] = [times(dc), times(ac)]
    if (!input.length || !output.length) return []
    const gap = Math.max(...output, ...input) - Math.min(...output, ...input)
    if (gap <= 30) return []
    return [
      {
        number: 9,
        odd: `Input and output were read ${gap.toFixed(0)} s apart.`,
        why: 'The bank sags and heaters settle meanwhile, so their ratio is not that of one moment.',
        todo: 'Read them within 30 s, or capture the whole step again.',
        at: {
          revision: context.analysis.record.revision.number,
          entry: entry.id,
          ...(entry.kind === 'ladder' ? { step: entry.reading.step } : {}),
        },
      },
    ]
  })
}

/** Seconds since midnight UTC of an ISO instant; core has no clock and needs differences only. */
function secondsOf(instant: string): number {
  const [, day = '0', h = '0', m = '0', s = '0'] =
    /-(\d\d)T(\d\d):(\d\d):(\d\d(?:\.\d+)?)/.exec(instant) ?? []
  return Number(day) * 86_400 + Number(h) * 3600 + Number(m) * 60 + Number(s)
}

/** 10: the unit's display used as a measurement. */
export const noticeDisplay: Notice = (context) => {
  const used = entriesOf(context).flatMap((entry) =>
    entry.reading.values
      .filter((value) => value.grade === 'display')
      .map((value) => ({
        key: value.quantity,
        number: 10 as const,
        odd: `${value.quantity} is the unit’s own display.`,
        why: 'A display is a claim, not a measurement; figures from it settle nothing.',
        todo: 'Read it with a meter at the same tap.',
        at: { revision: context.analysis.record.revision.number, entry: entry.id, quantity: value.quantity },
      })),
  )
  return oncePerMeter(used)
}
