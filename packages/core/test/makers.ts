import type {
  Bank,
  Battery,
  Conductor,
  Entry,
  EntryOf,
  MeterRange,
  PathElement,
  Quantity,
  Revision,
  StoredMeter,
  StoredRig,
  StoredUnit,
  Trial,
  Value,
} from '@even-watt/contract'

/** Small makers for tests: a trial with one meter for everything, figures of the method's example step. */
const stored = { version: 1, savedAt: '2026-03-01T00:00:00.000Z' }
export const uuid = (n: number) => `00000000-0000-7000-8000-${String(n).padStart(12, '0')}`

export const rangeOf = (
  reads: MeterRange['reads'],
  upTo: number,
  percent: number,
  counts: number,
  count: number,
  more: Partial<MeterRange> = {},
): MeterRange => ({
  id: `${reads} ${upTo}`,
  reads,
  upTo,
  percent,
  counts,
  count,
  standsSteppedWave: true,
  ...more,
})

export const meterOf = (patch: Partial<StoredMeter> = {}): StoredMeter => ({
  ...stored,
  id: uuid(1),
  name: 'All-reader',
  needsZeroing: false,
  ranges: [
    rangeOf('DC voltage', 60, 0.5, 2, 0.01),
    rangeOf('DC current', 400, 2, 3, 0.1),
    rangeOf('AC voltage', 600, 0.8, 5, 0.1, { response: 'true RMS', bandwidth: 1000 }),
    rangeOf('AC current', 20, 1, 3, 0.01, { response: 'true RMS', bandwidth: 1000 }),
    rangeOf('active power', 3000, 1, 1, 1),
    rangeOf('power factor', 1, 0, 2, 0.01),
    rangeOf('frequency', 400, 0, 1, 0.1),
    rangeOf('THD', 1, 3, 1, 0.001),
    rangeOf('sound level', 130, 0, 5, 0.1),
  ],
  ...patch,
})

export const unitOf = (patch: Partial<StoredUnit> = {}): StoredUnit => ({
  ...stored,
  id: uuid(2),
  name: 'Test unit',
  kind: 'inverter',
  inputVoltage: 24,
  outputVoltage: 230,
  outputFrequency: 50,
  phase: 'single',
  wave: 'sine',
  provenance: { how: 'bought', preProduction: false },
  claims: [],
  ...patch,
})

const battery = (n: number): Battery => ({
  id: uuid(n),
  name: `battery ${n - 29}`,
  chemistry: 'lithium iron phosphate',
  nominal: 12.8,
  capacity: 150,
  rest: 13.2,
  resistance: 0.00585,
  limit: 150,
  open: false,
})

/** One string of two in series, 26.4 V and 11.7 mΩ, as the method's L24. */
export const bankOf = (patch: Partial<Bank> = {}): Bank => ({
  name: 'L24',
  strings: [[battery(30), battery(31)]],
  join: { kind: 'in line', positive: [], negative: [], positiveAt: 0, negativeAt: 0 },
  usableShare: 0.9,
  ...patch,
})

/** Single batteries of 12 V in parallel, by their resistances; links of 0.42 mΩ as in the method's example. */
export const parallelOf = (resistances: readonly number[], rest = 13.2, link = 0.00042): Bank => ({
  name: `${resistances.length} in parallel`,
  strings: resistances.map((resistance, i) => [{ ...battery(40 + i), rest, resistance }]),
  join: {
    kind: 'in line',
    positive: resistances.slice(1).map(() => link),
    negative: resistances.slice(1).map(() => link),
    positiveAt: 0,
    negativeAt: 0,
  },
})

export const cableOf = (name: string, n: number, patch: Partial<Conductor> = {}): PathElement => ({
  id: uuid(n),
  name,
  kind: 'cable',
  conductors: [
    {
      gauge: { unit: 'mm²', area: 16 },
      length: 1.2,
      runs: 1,
      material: 'copper',
      strandingFactor: 1.12,
      ...patch,
    },
  ],
  insulation: 105,
})

export const rigOf = (patch: Partial<StoredRig> = {}): StoredRig => ({
  ...stored,
  id: uuid(3),
  name: 'Test rig',
  bank: bankOf(),
  positive: [{ id: uuid(51), name: 'fuse', kind: 'fuse', continuous: 100 }, cableOf('positive lead', 52)],
  negative: [{ id: uuid(53), name: 'negative lug', kind: 'lug' }, cableOf('negative lead', 54)],
  ambient: 25,
  assignments: [],
  ...patch,
})

export const revisionOf = (patch: Partial<Revision> = {}): Revision => ({
  number: 1,
  why: 'first',
  madeAt: stored.savedAt,
  unit: unitOf(),
  rig: rigOf(),
  meters: [meterOf()],
  ...patch,
})

export const trialOf = (revisions: Revision[] = [revisionOf()], patch: Partial<Trial> = {}): Trial => ({
  id: uuid(9),
  version: 1,
  startedAt: stored.savedAt,
  title: 'Test trial',
  by: 'R.O.',
  hold: 600,
  duty: [],
  limiters: [],
  revisions,
  ...patch,
})

export const valuesOf = (
  values: Partial<Record<Quantity, number>>,
  meter: string | undefined = uuid(1),
): Value[] =>
  Object.entries(values).map(([quantity, value]) => ({
    quantity: quantity as Quantity,
    value,
    grade: 'measured',
    ...(meter ? { meter } : {}),
  }))

let made = 100

/** Entries get their own ids and times a minute apart. */
const base = (revision: number) => {
  made += 1
  return { id: uuid(made), revision, at: new Date(Date.UTC(2026, 2, 12, 8, made)).toISOString() }
}

/** Taken after all that is doubted by it, a day later. */
export const doubtEntry = (of: EntryOf<'doubt'>['of'], revision = 1): EntryOf<'doubt'> => ({
  ...base(revision),
  at: '2026-12-13T23:00:00.000Z',
  kind: 'doubt',
  of,
  why: 'it slipped',
})

export const ladderEntry = (
  values: Partial<Record<Quantity, number>>,
  more: Partial<EntryOf<'ladder'>['reading']> & { revision?: number; replaces?: Entry['replaces'] } = {},
): EntryOf<'ladder'> => {
  const { revision = 1, replaces, ...reading } = more
  return {
    ...base(revision),
    ...(replaces ? { replaces } : {}),
    kind: 'ladder',
    reading: {
      step: uuid(made + 50_000),
      position: made,
      load: 'plate',
      kind: 'element',
      values: valuesOf(values),
      ...reading,
    },
  }
}

export const noLoadEntry = (
  values: Partial<Record<Quantity, number>>,
  more: Partial<EntryOf<'no load'>['reading']> & { revision?: number } = {},
): EntryOf<'no load'> => {
  const { revision = 1, ...reading } = more
  return {
    ...base(revision),
    kind: 'no load',
    reading: { mode: 'on', values: valuesOf(values), ...reading },
  }
}

export const takeBack = (entry: string, revision = 1): EntryOf<'take back'> => ({
  ...base(revision),
  kind: 'take back',
  entry,
  why: 'slip',
})

/** Loads of a ladder that obeys the method's loss polynomial, on a stiff 24 V supply. */
export const cleanLadder = (
  loads: readonly number[] = [72, 141, 352, 704, 1052, 1400],
  lossOf = (P: number) => 10.4 + 0.021 * P + 3.1e-5 * P ** 2,
): EntryOf<'ladder'>[] =>
  loads.map((P) =>
    ladderEntry(
      { V_A: 25.92, V_B: 25.61, I: (P + lossOf(P)) / 25.61, V_C: 230, P_C: P },
      { load: `load of ${P} W` },
    ),
  )

export const motorEntry = (
  reading: Partial<EntryOf<'motors'>['reading']> = {},
  revision = 1,
): EntryOf<'motors'> => ({
  ...base(revision),
  kind: 'motors',
  reading: { number: 1, load: 'pump', outcome: 'started', ...reading },
})

/** A power station without taps: volts, watts and energy at its outlet on one meter. */
export const stationOf = (claims: StoredUnit['claims'] = []): StoredUnit => {
  const unit = unitOf({
    name: 'Test station',
    kind: 'power station',
    claims,
    outputVoltage: 120,
    outputFrequency: 60,
  })
  delete unit.inputVoltage
  return unit
}

const logStart = Date.UTC(2026, 3, 14, 8)

/** A log that begins at 8:00. */
export const logEntry = (reading: EntryOf<'log'>['reading'], n = 1): EntryOf<'log'> => ({
  id: uuid(7000 + n),
  revision: 1,
  at: new Date(logStart + n * 86_400_000).toISOString(),
  kind: 'log',
  reading,
})

/** A look at a log, so many minutes after it began. */
export const checkIn = (
  log: EntryOf<'log'>,
  minutes: number,
  values: Partial<Record<Quantity, number>> = {},
  more: Partial<EntryOf<'check-in'>['reading']> = {},
): EntryOf<'check-in'> => ({
  ...base(1),
  at: new Date(Date.parse(log.at) + minutes * 60_000).toISOString(),
  kind: 'check-in',
  reading: { log: log.id, values: valuesOf(values), ...more },
})
