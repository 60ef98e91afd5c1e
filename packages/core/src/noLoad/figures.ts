import type { EntryOf, Quantity, Revision, Value } from '@even-watt/contract'
import {
  capturedReadings,
  capturesOf,
  inputCurrent,
  meanHeld,
  rangeOf,
  readFigures,
  shownReadings,
  type Spreads,
  nominalAt,
} from '../evidence'
import {
  derive,
  formatNumber,
  isFigure,
  whenKnown,
  type Derived,
  type Figure,
  type Refusal,
} from '../figures'
import { expanded, scale } from '../meters'
import { remembering } from '../remember'
import { readingsOf, scopeOf, type Analysis, type RevisionRecord } from '../trials'
import { idleCost, usableEnergy, weakIdle } from './idle'
import { idlePower } from './idlePower'

/** Figures of the unit with its output on and nothing connected (docs/method/no-load.md). */
export interface NoLoadFigures {
  readonly read: Readonly<Record<Quantity, Derived>>
  /** Output volts on the label, or half of them where one leg was read. */
  readonly nominal: number
  /** Idle current, and idle power at the terminals. */
  readonly I_idle: Derived
  readonly P_idle: Derived
  readonly perDay: Derived
  /** Ah that its amps take out of the bank in a day. */
  readonly chargePerDay: Derived
  readonly perNight: Derived
  readonly daysUntilFlat: Derived
  /** Why the idle figure is weak, when it is. */
  readonly weak: string | undefined
  /** The same figures as they would count, where something was connected: no more than that is drawn alone. */
  readonly loaded: { readonly I_idle: Figure | undefined; readonly P_idle: Figure | undefined } | undefined
}

/** What was read with nothing connected, by mode. */
export interface NoLoadAnalysis {
  /** With the output on; where the input stood at several volts, as it stood for most of the readings. */
  readonly on: NoLoadFigures
  /** The same at each input that it was read at: what was read around a recharge is not one figure. */
  readonly atVolts: readonly NoLoadFigures[]
  readonly search: NoLoadFigures
}

declare module '../trials/analysis' {
  interface Analysis {
    readonly noLoad: NoLoadAnalysis
  }
}

const sameFigures = remembering<Revision, NoLoadAnalysis>()

/** The no-load figures of one revision; the same object while its readings and their spreads are the same. */
export const analyseNoLoad = ({ record, evidence }: Analysis): NoLoadAnalysis =>
  sameFigures(
    record.revision,
    [
      record.trial,
      ...Object.values(evidence),
      ...readingsOf(record, 'no load'),
      ...capturesOf(record, readingsOf(record, 'no load')),
    ],
    () => {
      const atVolts = groupedByVolts(inMode(record, 'on')).map((readings) =>
        deriveNoLoad(record, 'on', readings, evidence, evidence.spreads),
      )
      return {
        on: atVolts[0] ?? deriveNoLoad(record, 'on', [], evidence, evidence.spreads),
        atVolts,
        search: deriveNoLoad(record, 'search', inMode(record, 'search'), evidence, evidence.searchSpreads),
      }
    },
  )

/** Every look with the output on by itself, in the order in which they were read. */
export const looksOf = ({ record, evidence }: Analysis): NoLoadFigures[] =>
  inMode(record, 'on').map((one) =>
    deriveNoLoad(record, 'on', [one], evidence, evidence.spreads, `look ${one.id}`),
  )

type Reading = EntryOf<'no load'>

const inMode = (record: RevisionRecord, mode: 'on' | 'search'): Reading[] =>
  readingsOf(record, 'no load').filter((entry) => entry.reading.mode === mode)

/** Input volts that lie within this share are the same input. */
const sameInput = 0.02

const inputOf = ({ reading: { values } }: Reading): number | undefined =>
  (values.find(({ quantity }) => quantity === 'V_B') ?? values.find(({ quantity }) => quantity === 'V_A'))
    ?.value

/** Readings by the input they were taken at, the one with most readings first; what says no volts stands with that. */
function groupedByVolts(readings: readonly Reading[]): Reading[][] {
  const groups: { volts: number; readings: Reading[] }[] = []
  for (const entry of readings) {
    const volts = inputOf(entry)
    if (volts === undefined) continue
    const group = groups.find((one) => Math.abs(one.volts / volts - 1) <= sameInput)
    if (group) group.readings.push(entry)
    else groups.push({ volts, readings: [entry] })
  }
  const sorted = groups.sort((a, b) => b.readings.length - a.readings.length).map((one) => one.readings)
  const rest = readings.filter((entry) => inputOf(entry) === undefined)
  const [first, ...others] = sorted
  return first || rest.length ? [[...(first ?? []), ...rest], ...others] : []
}

/** No-load readings of one mode, averaged. */
function deriveNoLoad(
  record: RevisionRecord,
  mode: 'on' | 'search',
  readings: readonly Reading[],
  { gate, checks }: Analysis['evidence'],
  spreads: Spreads,
  name = `no load ${mode}`,
): NoLoadFigures {
  const { revision } = record
  // What scatters from look to look is each look’s own.
  const where = `${name}|${scopeOf(record)}`
  const captured = capturedReadings(capturesOf(record, readings), readings, record)
  const read = readFigures(
    [...shownReadings(readings), ...captured],
    { revision, gate, checks },
    spreads,
    where,
  )
  const loaded = outletLoads(read).length > 0
  const held = meanHeld(readings)
  const I = inputCurrent(read, revision.rig, held)
  const amps: Derived = isFigure(I) ? { ...I, symbol: 'I_idle' } : I
  const I_idle: Derived = isFigure(amps) ? asIdle(amps, loaded) : amps
  const watts = idlePower(read, amps, held, scopeOf(record))
  const P_idle: Derived = isFigure(watts) ? asIdle(watts, loaded) : watts
  return {
    read,
    loaded: loaded
      ? { I_idle: isFigure(amps) ? amps : undefined, P_idle: isFigure(watts) ? watts : undefined }
      : undefined,
    nominal: nominalAt(revision.unit, read.V_C),
    I_idle,
    P_idle,
    chargePerDay: whenKnown([I_idle], ([i]) =>
      derive('charge per day', 'Ah', 'I_idle · 24 h', [i], scale(i.x, 24)),
    ),
    ...costs(P_idle, revision),
    weak: weakness(
      I_idle,
      readings.map(({ reading }) => reading),
      revision,
    ),
  }
}

/** A figure of a unit that draws nothing for others, and draws: else it is shown, and decides nothing. */
function asIdle(figure: Figure, loaded: boolean): Figure {
  const refused = loaded
    ? somethingConnected
    : figure.x.value + expanded(figure.x) < 0
      ? backwards
      : undefined
  return refused ? { ...figure, refused } : figure
}

const backwards: Refusal = {
  why: 'current seems to flow out of the unit: something charges the bank, or the clamp is turned round.',
  todo: 'Take every charger off, turn the clamp, zero it, and read again.',
}

const somethingConnected: Refusal = {
  why: 'something was connected at the outlet.',
  todo: 'Unplug everything, a strip with a lamp too, and read again.',
}

/** What flows at the outlet beyond what its meter may be wrong by: idle draw is read with every load unplugged. */
export const outletLoads = (read: NoLoadFigures['read']): Figure[] =>
  [read.I_C, read.P_C].filter(
    (figure): figure is Figure =>
      isFigure(figure) && figure.x.value > 0 && figure.x.value > expanded(figure.x),
  )

function costs(
  P_idle: Derived,
  { rig }: Revision,
): Pick<NoLoadFigures, 'perDay' | 'perNight' | 'daysUntilFlat'> {
  if (!isFigure(P_idle)) return { perDay: P_idle, perNight: P_idle, daysUntilFlat: P_idle }
  const cost = idleCost(P_idle.x, rig.bank)
  const perDay = derive('energy per day', 'Wh', 'P_idle · 24 h', [P_idle], cost.perDay)
  if (!cost.perNight) {
    const missing = { missing: 'The capacity of the bank is not known.' }
    return { perDay, perNight: missing, daysUntilFlat: missing }
  }
  const usableWords = `usable bank ${formatNumber(usableEnergy(rig.bank) ?? 0, 0)} Wh`
  return {
    perDay,
    perNight: derive(
      'share of the bank per night',
      '%',
      'P_idle · 12 h / usable energy',
      [P_idle],
      cost.perNight,
      [usableWords],
    ),
    daysUntilFlat: cost.daysUntilFlat
      ? derive('days until flat', 'days', 'usable energy / (P_idle · 24 h)', [P_idle], cost.daysUntilFlat, [
          usableWords,
        ])
      : { missing: 'Nothing is drawn.' },
  }
}

function weakness(
  current: Derived,
  readings: readonly { values: readonly Value[] }[],
  revision: Revision,
): string | undefined {
  if (!isFigure(current)) return undefined
  const value = readings.flatMap((reading) => reading.values).find((candidate) => candidate.quantity === 'I')
  const meter = revision.meters.find((candidate) => candidate.id === value?.meter)
  const range = meter && value && rangeOf(meter, { ...value, value: current.x.value })
  return range && weakIdle(current.x.value, range)
}
