import type { EntryOf } from '@even-watt/contract'
import type { BenchModel } from '../ladder/operate'
import type { SwitchedModel } from '../motors/machine'
import { recorded } from '../motors/record'
import { start, type StartConditions, type Started } from '../motors/start'
import { seeded } from '../random'
import { asTable } from '../waveform/files'
import type { Scope } from '../waveform/scope'
import type { BenchHand } from './capture'
import { keepCapture, specifiedAs, type Files } from './waves'

/** The station's logger: four channels, for what lasts seconds. */
const stationLogger: Scope = {
  name: 'Four-channel logger',
  bits: 12,
  rate: 2000,
  percent: 2,
  gain: 0.35,
  offset: 0.0008,
  noise: 0.5,
  skew: 0,
}

interface Attempted {
  readonly revision: number
  readonly seed: number
  readonly conditions: StartConditions
}

/** What the logger wrote of something that was switched on, as a capture that belongs to an entry. */
export function captureStarted(
  files: Files,
  bench: BenchModel,
  started: Started,
  {
    about,
    at,
    revision,
    seed,
    name,
  }: { about: string; at: string; revision: number; seed: number; name: string },
): EntryOf<'capture'> {
  const random = seeded(seed)
  const behind = bench.bank.R / 2 + [...bench.path.values()].reduce((sum, R) => sum + R, 0)
  const { V_C, I_C, V_B, I } = recorded(started, stationLogger, random, {
    frequency: bench.unit.frequency,
    behind,
    unit: bench.unit,
  })
  const columns = [
    ['V_C (V)', V_C],
    ['I_C (A)', I_C],
    ['V_B (V)', V_B],
    ['I_DC (A)', I],
  ] as const
  return keepCapture(
    files,
    asTable(stationLogger.rate, columns),
    { at, revision, seed: seed + 1, name, about },
    specifiedAs(stationLogger),
  )
}

/** An attempt at a machine with its capture. */
export function attempt(
  files: Files,
  hand: BenchHand,
  bench: BenchModel,
  machine: SwitchedModel,
  { revision, seed, conditions }: Attempted,
  noted: Pick<EntryOf<'motors'>['reading'], 'number'> & Partial<EntryOf<'motors'>['reading']>,
): [EntryOf<'motors'>, EntryOf<'capture'>] {
  hand.wait(240)
  const started = start(bench, machine, conditions)
  const entry: EntryOf<'motors'> = {
    id: hand.newId(),
    revision,
    at: hand.now,
    kind: 'motors',
    reading: {
      load: machine.name,
      baseLoad: conditions.base ?? 0,
      bankBefore: Number((bench.bank.E - 0.05).toFixed(2)),
      outcome: started.outcome,
      ...noted,
    },
  }
  const name = `start-${noted.number}.csv`
  return [
    entry,
    captureStarted(files, bench, started, { about: entry.id, at: entry.at, revision, seed, name }),
  ]
}
