import type { Entry, EntryOf, Revision, Unit } from '@even-watt/contract'
import { shortened } from '../figures'
import { pooledSpread, scatterOf, type Pooled, type Scatter } from '../meters'
import { remembering } from '../remember'
import { readingsOf, type Analysis } from '../trials'
import { displayAgainst } from './displayAgainst'
import { checksOf, type DisplayChecks } from './displayCheck'
import { gateOf, type Gate } from './gate'
import { append, spreadKey, type Spreads } from './readingValues'
import { unfitCaptures } from './unfitCapture'
import { waveSeen } from './wave'

declare module '../trials/analysis' {
  interface Analysis {
    readonly evidence: {
      /** Of the ladder and of no load with the output on. */
      readonly spreads: Spreads
      /** Of readings in search mode, which cycle and tell nothing of the others. */
      readonly searchSpreads: Spreads
      /** The output wave as it was seen. */
      readonly wave: Unit['wave']
      readonly gate: Gate
      /** Of a display that may stand in for a meter; empty while it may not. */
      readonly checks: DisplayChecks
    }
  }
}

type Scatters = ReadonlyMap<string, Scatter>
const sameScatters = remembering<Entry, Scatters>()

/** Readings that repeat each other, each quantity and meter by itself; worked again only when a reading is added. */
function scattersOf(readings: readonly EntryOf<'ladder' | 'no load'>[]): Scatters {
  const [first] = readings
  if (!first || readings.length < 2) return new Map()
  return sameScatters(first, readings, () => {
    const here = new Map<string, number[]>()
    for (const { reading } of readings)
      for (const value of reading.values) append(here, spreadKey(value), value.value)
    return new Map([...here].map(([key, numbers]) => [key, scatterOf(numbers)]))
  })
}

/** Pools the scatter of repeats for each quantity and meter over groups of readings that repeat each other. */
function poolOf(groups: Iterable<readonly EntryOf<'ladder' | 'no load'>[]>): Spreads {
  const pools = new Map<string, Scatter[]>()
  for (const readings of groups)
    for (const [key, scatter] of scattersOf(readings)) append(pools, key, scatter)
  return new Map([...pools].map(([key, scatters]) => [key, rounded(pooledSpread(scatters))]))
}

/** Degrees of freedom from which one more changes no coverage that is shown. */
const fewDegrees = 10

/**
 * A spread to two digits: a third would be known from 5,000 repeats; its degrees of freedom, where they are many, to one. So
 * one repeat more on a long ladder seldom changes them, and the steps that rest on them stay as they are.
 */
const rounded = ({ spread, freedom }: Pooled): Pooled => ({
  spread: shortened(spread, 2),
  freedom: freedom > fewDegrees ? shortened(freedom, 1) : freedom,
})

const sameSpreads = remembering<Revision, Spreads>()
const sameSearchSpreads = remembering<Revision, Spreads>()
const sameGate = remembering<Revision, Gate>()
const sameChecks = remembering<Revision, DisplayChecks>()
const noChecks: DisplayChecks = new Map()

const partsOf = (spreads: Spreads) =>
  [...spreads].flatMap(([key, { spread, freedom }]) => [key, spread, freedom])

/** What the values of one revision are read by; the same objects while they say the same. */
export function gatherEvidence({ record }: Analysis): Analysis['evidence'] {
  const { revision } = record
  const steps = new Map<string, EntryOf<'ladder' | 'no load'>[]>()
  const { doubts } = record
  const trusted = ({ id }: Entry) => !doubts.readings.has(id)
  for (const entry of readingsOf(record, 'ladder').filter(trusted)) append(steps, entry.reading.step, entry)
  const noLoad = readingsOf(record, 'no load').filter(trusted)
  const spreads = poolOf([...steps.values(), noLoad.filter(({ reading }) => reading.mode === 'on')])
  const searching = poolOf([noLoad.filter(({ reading }) => reading.mode === 'search')])
  const wave = waveSeen(record)
  const unfit = unfitCaptures(record)
  const checks = record.displayStandsIn
    ? checksOf(
        displayAgainst(record, gateOf(revision, wave, doubts, noChecks), spreads),
        record.displayCorrected,
      )
    : noChecks
  const checked = [...checks].flatMap(([quantity, check]) => [quantity, ...Object.values(check)])
  return {
    spreads: sameSpreads(revision, partsOf(spreads), () => spreads),
    checks: sameChecks(revision, checked, () => checks),
    searchSpreads: sameSearchSpreads(revision, partsOf(searching), () => searching),
    wave,
    gate: sameGate(
      revision,
      [wave, ...checked, ...[...doubts.readings, ...doubts.meters].flat(), 'captures', ...unfit.keys()],
      () => gateOf(revision, wave, doubts, checks, unfit),
    ),
  }
}
