import type { EntryOf, Grade, LogColumn, LogQuantity, Quantity, Value } from '@even-watt/contract'
import { quantityData, type Gate } from '../evidence'
import type { Refusal } from '../figures'
import { integrate, riseOf, type Integral, type Point, type Rise } from './integrate'

/** What was read of one quantity over a log, on one meter, at one battery or place. */
export interface LoggedSeries {
  readonly quantity: LogQuantity
  readonly battery?: string | undefined
  readonly place?: string | undefined
  /** Meters it was read on; two where watts are volts times amps. */
  readonly meters: readonly (string | undefined)[]
  /** Means of volts and amps, where it is their product. */
  readonly product?: { readonly volts: number; readonly amps: number }
  readonly grade: Grade
  readonly refused?: Refusal
  /** s from the beginning of the log; of a long file its course. */
  readonly points: readonly Point[]
  readonly largest: number
  readonly integral: Integral
  readonly rise: Rise
  readonly from: 'check-ins' | 'file'
  readonly entries: readonly string[]
}

/** Values that only a log holds. */
const extras: ReadonlySet<string> = new Set(['T_room', 'charge', 'V_battery', 'I_battery', 'irradiance'])
export const isTapQuantity = (quantity: LogQuantity): quantity is Quantity => !extras.has(quantity)

/** What a quantity of a log is called, and its unit. */
const logWords: Readonly<Record<Exclude<LogQuantity, Quantity>, { words: string; unit: string }>> = {
  T_room: { words: 'room', unit: '°C' },
  charge: { words: 'charge shown', unit: '%' },
  V_battery: { words: 'volts of a battery', unit: 'V' },
  I_battery: { words: 'amps of a battery', unit: 'A' },
  irradiance: { words: 'irradiance', unit: 'W/m²' },
}
export const describeQuantity = (quantity: LogQuantity): { words: string; unit: string } =>
  isTapQuantity(quantity) ? quantityData[quantity] : logWords[quantity]

const keyOf = (quantity: LogQuantity, rest: readonly (string | undefined)[]) => [quantity, ...rest].join('|')

interface Gathered {
  readonly quantity: LogQuantity
  readonly battery?: string | undefined
  readonly place?: string | undefined
  readonly meter?: string | undefined
  grade: Grade
  refused?: Refusal | undefined
  readonly points: Point[]
  readonly entries: string[]
}

/** Gathers what check-ins read, each quantity by its meter, battery and place. */
export function seriesOfCheckIns(
  checkIns: readonly { readonly entry: EntryOf<'check-in'>; readonly at: number }[],
  gate: Gate,
  resistive: boolean,
): LoggedSeries[] {
  const found = new Map<string, Gathered>()
  const add = (
    entry: string,
    at: number,
    value: number | undefined,
    of: Omit<Gathered, 'points' | 'entries'>,
  ) => {
    if (value === undefined) return
    const key = keyOf(of.quantity, [of.battery, of.place, of.meter])
    const held = found.get(key) ?? { ...of, points: [], entries: [] }
    held.refused ??= of.refused
    held.points.push({ at, value })
    held.entries.push(entry)
    found.set(key, held)
  }
  for (const { entry, at } of checkIns) {
    const { values, batteries = [], charge, temperatures = [], irradiance } = entry.reading
    const plain = (quantity: LogQuantity, value: number | undefined, more: Partial<Gathered> = {}) =>
      add(entry.id, at, value, { quantity, grade: 'measured', ...more })
    for (const value of values)
      add(entry.id, at, value.value, {
        quantity: value.quantity,
        meter: value.meter,
        grade: value.grade,
        refused: gate(value, entry.id),
      })
    for (const { battery, volts, amps, charge: share } of batteries) {
      plain('V_battery', volts, { battery })
      plain('I_battery', amps, { battery })
      plain('charge', share, { battery, grade: 'display' })
    }
    plain('charge', charge, { grade: 'display' })
    plain('irradiance', irradiance)
    for (const { place, part, celsius } of temperatures)
      plain(place === 'room' ? 'T_room' : 'T', celsius, { place: part ?? place })
  }
  const series = [...found.values()].map(({ points, entries, meter, refused, ...of }): LoggedSeries => ({
    ...of,
    meters: [meter],
    ...(refused ? { refused } : {}),
    points,
    largest: Math.max(...points.map(({ value }) => Math.abs(value))),
    integral: integrate(points),
    rise: riseOf(points.map(({ value }) => value)),
    from: 'check-ins',
    entries,
  }))
  return [...series, ...productsOf(series, resistive)]
}

/** Watts by volts times amps of the same check-ins, where no wattmeter read them; at the outlet an estimate unless the load is resistive. */
function productsOf(series: readonly LoggedSeries[], resistive: boolean): LoggedSeries[] {
  const product = (P: Quantity, V: Quantity, I: Quantity): LoggedSeries[] => {
    const [volts, amps] = [V, I].map((quantity) => series.find((one) => one.quantity === quantity))
    if (series.some(({ quantity }) => quantity === P) || !volts || !amps) return []
    const at = new Map(amps.points.map((point) => [point.at, point.value]))
    const points = volts.points.flatMap(({ at: t, value }) => {
      const I_t = at.get(t)
      return I_t === undefined ? [] : [{ at: t, value: value * I_t }]
    })
    if (!points.length) return []
    const refused = volts.refused ?? amps.refused
    return [
      {
        quantity: P,
        meters: [volts.meters[0], amps.meters[0]],
        product: { volts: meanOf(volts.points), amps: meanOf(amps.points) },
        grade: volts.grade === 'measured' ? amps.grade : volts.grade,
        ...(refused ? { refused } : {}),
        points,
        largest: Math.max(...points.map(({ value }) => Math.abs(value))),
        integral: integrate(points),
        rise: riseOf([]),
        from: 'check-ins',
        entries: [...new Set([...volts.entries, ...amps.entries])],
      },
    ]
  }
  return [
    ...(has(series, 'V_B') ? product('P_B', 'V_B', 'I') : product('P_B', 'V_A', 'I')),
    ...product('P_in', 'V_in', 'I_in'),
    ...product('P_C', 'V_C', 'I_C').map((one): LoggedSeries =>
      resistive ? one : { ...one, grade: 'estimated' },
    ),
  ]
}

const has = (series: readonly LoggedSeries[], quantity: LogQuantity) =>
  series.some((one) => one.quantity === quantity)

const meanOf = (points: readonly Point[]): number =>
  points.reduce((sum, { value }) => sum + value, 0) / Math.max(1, points.length)

/** What a file holds, from its columns; its times begin where its first row stands in the log. */
export const seriesOfFile = (entry: EntryOf<'log file'>, begins: number, gate: Gate): LoggedSeries[] =>
  entry.reading.columns.map((column) => seriesOfColumn(entry, column, begins, gate))

function seriesOfColumn(
  { id, reading }: EntryOf<'log file'>,
  column: LogColumn,
  begins: number,
  gate: Gate,
): LoggedSeries {
  const { quantity, factor, zero = 0, meter, battery, place, grade } = column
  const stored = storedBy(column)
  const hours = reading.seconds / 3600
  const largest = Math.max(Math.abs(stored(column.min)), Math.abs(stored(column.max)))
  const refusedBy = (of: Quantity, value: number, on: string | undefined) => {
    const asked: Value = { quantity: of, value, grade, ...(on ? { meter: on } : {}) }
    return gate(asked, id)
  }
  const factors = column.product?.map((i) => reading.columns.find((one) => one.column === i))
  const [volts, amps] = factors ?? []
  const product =
    volts && amps
      ? { volts: meanIn(volts), amps: meanIn(amps), meters: [volts.meter, amps.meter] as const }
      : undefined
  const refused =
    product && volts && amps && isTapQuantity(volts.quantity) && isTapQuantity(amps.quantity)
      ? (refusedBy(volts.quantity, volts.max * volts.factor, volts.meter) ??
        refusedBy(amps.quantity, amps.max * amps.factor, amps.meter))
      : isTapQuantity(quantity)
        ? refusedBy(quantity, largest, meter)
        : undefined
  return {
    quantity,
    battery,
    place,
    meters: product?.meters ?? [meter],
    ...(product ? { product: { volts: product.volts, amps: product.amps } } : {}),
    grade,
    ...(refused ? { refused } : {}),
    points: reading.times.flatMap((at, i) => {
      const x = column.course[i]
      return x === null || x === undefined ? [] : [{ at: begins + at, value: stored(x) }]
    }),
    largest,
    integral: {
      value: (column.integral - zero * hours) * factor,
      absolute: Math.abs((column.absolute - zero * hours) * factor),
      open: Math.abs(column.open * factor),
      hours,
    },
    rise: { value: (column.rose ?? column.last - column.first) * factor, restarts: column.restarts ?? 0 },
    from: 'file',
    entries: [id],
  }
}

/** A number of a column’s rows as it is stored: in SI, °C. */
export const storedBy =
  ({ factor, zero = 0 }: Pick<LogColumn, 'factor' | 'zero'>) =>
  (x: number): number =>
    (x - zero) * factor

const meanIn = (column: LogColumn) => storedBy(column)((column.min + column.max) / 2)
