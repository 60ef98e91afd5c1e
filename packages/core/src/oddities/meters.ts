import type { Entry, Quantity, StoredMeter, Value } from '@even-watt/contract'
import { quantityData, unfitOnWave, hasFit } from '../ladder'
import { rangeFor, rounding } from '../meters'
import type { Notice, Oddity, OddityContext } from './oddity'

interface Seen {
  readonly value: Value
  readonly meter: StoredMeter
  readonly at: Oddity['at']
}

const entriesOf = ({ analysis }: OddityContext): Extract<Entry, { stage: 'ladder' | 'no load' }>[] => [
  ...analysis.record.noLoad,
  ...analysis.record.steps.flatMap((step) => step.readings),
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
      const step = entry.stage === 'ladder' ? { step: entry.reading.step } : {}
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
  const apart = entriesOf(context).flatMap((entry): Oddity[] => {
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
          ...(entry.stage === 'ladder' ? { step: entry.reading.step } : {}),
        },
      },
    ]
  })
  return [...apart, ...drifting(context)]
}

function drifting({ analysis }: OddityContext): Oddity[] {
  const { revision } = analysis.record
  return analysis.record.steps.flatMap((step) => {
    const powers = step.readings.flatMap((entry) => {
      const value = entry.reading.values.find((candidate) => candidate.quantity === 'P_C')
      return value ? [{ value: value.value, meter: value.meter }] : []
    })
    const [first, last] = [powers[0], powers.at(-1)]
    if (powers.length < 3 || !first || !last) return []
    const meter = revision.meters.find((candidate) => candidate.id === last.meter)
    const range = meter && rangeFor(meter.ranges, 'active power', last.value)
    const oneWay = powers.every(
      (power, i) =>
        i === 0 ||
        Math.sign(power.value - (powers[i - 1]?.value ?? 0)) === Math.sign(last.value - first.value),
    )
    const change = Math.abs(last.value - first.value)
    if (!range || !oneWay || change <= Math.max(6 * rounding(range.count), 0.01 * last.value)) return []
    return [
      {
        number: 9,
        odd: `The load was still moving: ${first.value} W, then ${last.value} W.`,
        why: 'Elements take more while cold; a step read before settling lands off the curve.',
        todo: 'Wait for it to settle and repeat the step.',
        at: { revision: revision.number, step: step.id },
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
        number: 10,
        odd: `${value.quantity} is the unit’s own display.`,
        why: 'A display is a claim, not a measurement; figures from it settle nothing.',
        todo: 'Read it with a meter at the same tap.',
        at: { revision: context.analysis.record.revision.number, entry: entry.id, quantity: value.quantity },
      })),
  )
  return oncePerMeter(used)
}

/** Points the fitted curve does not explain: part of 18, for re-reading. */
export const noticeOutlier: Notice = ({ analysis }) => {
  const fit = analysis.unitFit
  if (!hasFit(fit)) return []
  return fit.residuals
    .filter((residual) => residual.offered && residual.key !== 'idle')
    .map((residual) => ({
      number: 18,
      odd: `The loss here is ${Math.abs(residual.residual).toFixed(1)} W ${residual.residual > 0 ? 'above' : 'below'} the curve, over three times its own uncertainty.`,
      why: 'One reading of this step may be slipped, or something changed.',
      todo: 'Read the step again.',
      at: { revision: analysis.record.revision.number, step: residual.key },
    }))
}
