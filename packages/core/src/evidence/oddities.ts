import { formatNumber, plain } from '../figures'
import type { EntryOf, Quantity, Revision, StoredMeter, Unit, Value } from '@even-watt/contract'
import { halfWidth, rounding } from '../meters'
import { onceEach, type Keyed, type Notice, type Oddity } from '../oddities'
import { remembering } from '../remember'
import { readingsOf } from '../trials'
import { unfitOnWave } from './fitness'
import { quantityData } from './quantities'
import { rangeOf } from './rangeOf'

type ReadingEntry = EntryOf<'ladder' | 'no load'>

interface Seen {
  readonly value: Value
  readonly meter: StoredMeter
  readonly at: Oddity['at']
  readonly revision: Revision
  readonly wave: Unit['wave']
}

const placeOf = (entry: ReadingEntry, revision: Revision): Oddity['at'] => ({
  revision: revision.number,
  entry: entry.id,
  ...(entry.kind === 'ladder' ? { step: entry.reading.step } : {}),
})

/** Looks at each reading by itself; what was found in it is kept as long as the reading and its revision. */
function eachReading(find: (entry: ReadingEntry, revision: Revision, wave: Unit['wave']) => Keyed[]): Notice {
  const found = remembering<ReadingEntry, Keyed[]>()
  return ({ analysis: { record, evidence } }) => {
    const { revision } = record
    const { wave } = evidence
    const readings = [...readingsOf(record, 'no load'), ...readingsOf(record, 'ladder')]
    return onceEach(
      readings.flatMap((entry) => found(entry, [revision, wave], () => find(entry, revision, wave))),
    )
  }
}

/** Looks at each value that was read on a named meter. */
const eachValue = (find: (seen: Seen) => Keyed | undefined): Notice =>
  eachReading((entry, revision, wave) =>
    entry.reading.values.flatMap((value) => {
      const meter = revision.meters.find(({ id }) => id === value.meter)
      if (!meter) return []
      const at = { ...placeOf(entry, revision), quantity: value.quantity }
      return find({ value, meter, at, revision, wave }) ?? []
    }),
  )

/** 6: an average-responding meter, or one that does not stand the wave, on a non-sine. */
export const noticeUnfitMeter = eachValue(({ value, meter, at, wave }) => {
  const reason = unfitOnWave({ wave })(meter, value)
  if (!reason) return undefined
  return {
    key: `${meter.id}|${value.quantity}`,
    number: 6,
    odd: `${meter.name} reads ${value.quantity}, but ${reason.why}`,
    why: 'On a stepped wave such a meter may read some per cent low or high, by the width of the plateau.',
    todo: 'Use a true-RMS meter with enough bandwidth; its reading is set aside where there is another.',
    at,
  }
})

/** 8: near or over a range. */
export const noticeRange = eachValue(({ value, meter, at }) => {
  const { reads, unit } = quantityData[value.quantity]
  const range = rangeOf(meter, value)
  if (!range || Math.abs(value.value) <= 0.95 * range.upTo) return undefined
  const over = Math.abs(value.value) > range.upTo
  if (!over && meter.ranges.some((other) => other.reads === reads && other.upTo > range.upTo))
    return undefined
  if (!over && (reads === 'power factor' || reads === 'THD')) return undefined
  return {
    key: `${at.step ?? at.entry}|${value.quantity}`,
    number: 8,
    odd: `${plain(value.value)} ${unit} is ${over ? 'over' : 'within 5 % of'} the ${plain(range.upTo)} ${unit} range of ${meter.name}.`,
    why: over ? 'No specification covers it.' : 'The next step may overload the meter.',
    todo: 'Use a meter with a higher range.',
    at,
  }
})

/** 11: one count of the meter is a large share of what it reads. */
export const noticeCoarse = eachValue(({ value, meter, at, revision }) => {
  const { reads, unit } = quantityData[value.quantity]
  const range = rangeOf(meter, value)
  if (!range || reads === 'THD' || reads === 'temperature' || value.value === 0) return undefined
  if (value.quantity === 'I' && at.step === undefined) return undefined
  // Beside a charger little flows in the bank, and that is as it should be.
  if (value.quantity === 'I_bank' && revision.rig.support) return undefined
  const counts = Math.abs(value.value) / range.count
  if (counts >= 20) return undefined
  return {
    key: `${meter.id}|${value.quantity}`,
    number: 11,
    odd: `${plain(value.value)} ${unit} is only ${formatNumber(counts, 0)} counts of ${meter.name}.`,
    why: `Rounding alone is ${formatNumber((100 * rounding(range.count)) / Math.abs(value.value), 1)} % here.`,
    todo: 'Take a lower range or a finer meter for the small steps.',
    at,
  }
})

const dc: readonly Quantity[] = ['V_A', 'V_B', 'I']
const ac: readonly Quantity[] = ['V_C', 'I_C', 'P_C']

/** 9: input and output read more than 30 s apart. */
export const noticeTiming = eachReading((entry, revision) => {
  const times = (which: readonly Quantity[]) =>
    entry.reading.values.flatMap((value) =>
      value.at && which.includes(value.quantity) ? [Date.parse(value.at) / 1000] : [],
    )
  const [input, output] = [times(dc), times(ac)]
  if (!input.length || !output.length) return []
  const gap = Math.max(...output, ...input) - Math.min(...output, ...input)
  if (gap <= 30) return []
  return [
    {
      key: entry.id,
      number: 9,
      odd: `Input and output were read ${formatNumber(gap, 0)} s apart.`,
      why: 'The bank sags and heaters settle meanwhile, so their ratio is not that of one moment.',
      todo: 'Read them within 30 s, or capture the whole step again.',
      at: placeOf(entry, revision),
    },
  ]
})

/** 10: the unit's display used as a measurement. */
export const noticeDisplay = eachReading((entry, revision) =>
  entry.reading.values
    .filter(({ grade }) => grade === 'display')
    .map(({ quantity }) => ({
      key: quantity,
      number: 10,
      odd: `${quantity} is the unit’s own display.`,
      why: 'A display is a claim, not a measurement; figures from it settle nothing.',
      todo: 'Read it with a meter at the same tap.',
      at: { ...placeOf(entry, revision), quantity },
    })),
)

/** 5: a clamp that was not zeroed: it reads less than nothing, or stands off another meter of the same current. */
export const noticeNotZeroed = eachReading((entry, revision) => {
  const read = entry.reading.values.flatMap((value) => {
    const meter = revision.meters.find(({ id }) => id === value.meter)
    const range = value.quantity === 'I' && meter ? rangeOf(meter, value) : undefined
    if (!meter || !range) return []
    return [{ value: value.value, meter, half: halfWidth(range, value.value) + range.count }]
  })
  const idle = entry.kind === 'no load'
  return read
    .filter(({ meter }) => meter.needsZeroing)
    .flatMap(({ value, meter, half }): Keyed[] => {
      const other = read.find((one) => one.meter !== meter && Math.abs(one.value - value) > half + one.half)
      if (!(idle && (value < -half || other))) return []
      const odd = other
        ? `${meter.name} reads ${plain(value)} A, ${other.meter.name} ${plain(other.value)} A.`
        : `${meter.name} reads ${plain(value)} A, less than nothing.`
      return [
        {
          key: meter.id,
          number: 5,
          odd,
          why: 'A clamp drifts with temperature and with what it held last; at idle its offset is most of what it shows.',
          todo: 'Zero it with nothing in its jaws, close to where it will read, and read again.',
          at: { ...placeOf(entry, revision), quantity: 'I' },
        },
      ]
    })
})
