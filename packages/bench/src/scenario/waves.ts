import type { Capture, EntryOf, Recipe } from '@even-watt/contract'
import {
  analyseCapture,
  applyRecipe,
  guessRecipe,
  liftTrace,
  readFile,
  type Corners,
} from '@even-watt/core/waveform/index'
import { createHash } from 'node:crypto'
import { PNG } from 'pngjs'
import { operate, type BenchModel, type Truth } from '../ladder/operate'
import type { LoadModel } from '../loads/law'
import { seeded, type Random } from '../random'
import { asTable } from '../waveform/files'
import { inputCurrent, loadCurrent, terminalVolts } from '../waveform/loadCurrent'
import { outletWave } from '../waveform/outlet'
import { screenPicture, trace } from '../waveform/picture'
import { sample, steadily, type Scope } from '../waveform/scope'

/** The bytes of captures and pictures by their SHA-256. */
export type Files = Map<string, Uint8Array>

/** The station's scope: 8 bits, an isolated probe 100 ×. */
export const stationScope: Scope = {
  name: 'Bench scope, captures',
  bits: 8,
  rate: 10_000,
  percent: 3,
  gain: 0.3,
  offset: 0.002,
  noise: 0.35,
  skew: 4e-6,
}

/** A little over ten cycles. */
const seconds = 0.22

/** When a capture was made, and of what. */
interface Taken {
  readonly at: string
  readonly revision: number
  readonly seed: number
  readonly name: string
  readonly about?: string
  readonly reference?: Capture['reference']
  readonly what?: string
}

/** A capture as the page would keep it: the bytes, how they are read, what follows from them. */
export function keepCapture(
  files: Files,
  bytes: Uint8Array,
  { at, revision, seed, name, about, reference, what }: Taken,
  instrument: Capture['instrument'],
  recipe?: Recipe,
): EntryOf<'capture'> {
  const sha256 = createHash('sha256').update(bytes).digest('hex')
  files.set(sha256, bytes)
  const columns = readFile(bytes)
  const read = recipe ?? guessRecipe(columns)
  return {
    id: seeded(seed).id(Date.parse(at)),
    revision,
    at,
    kind: 'capture',
    reading: {
      sha256,
      size: bytes.length,
      name,
      type: name.endsWith('.wav') ? 'audio/wav' : 'text/csv',
      instrument,
      recipe: read,
      figures: analyseCapture(applyRecipe(columns, read).sampled).figures,
      ...(about === undefined ? {} : { about }),
      ...(reference === undefined ? {} : { reference }),
      ...(what === undefined ? {} : { what }),
    },
  }
}

export const specifiedAs = ({ name, percent }: Scope): Capture['instrument'] => ({ name, percent })

/** Volts and amperes of the outlet under some loads, as the station's scope reads them. */
export function captureOutlet(
  files: Files,
  bench: BenchModel,
  loads: readonly LoadModel[],
  taken: Taken,
  scope = stationScope,
): EntryOf<'capture'> {
  const truth = carried(bench, loads)
  const random: Random = seeded(taken.seed + 1)
  const volts = outletWave(bench.unit, truth)
  const turning = steadily(bench.unit.frequency * (1 + 2e-5 * random.signed()), random.next())
  const columns: [string, Float64Array][] = [['V_C (V)', sample(scope, volts, turning, { seconds, random })]]
  if (loads.length)
    columns.push([
      'I_C (A)',
      sample(scope, loadCurrent(loads, volts, bench.unit.frequency), turning, {
        seconds,
        random,
        channel: 1,
      }),
    ])
  return keepCapture(files, asTable(scope.rate, columns), taken, specifiedAs(scope))
}

/** Share of a whole raised cosine that a filter at the input leaves of its current's pulsing. */
const pulsing = 0.55

/** Volts and amperes at the terminals: they pulse at twice the output's frequency. */
export function captureInput(
  files: Files,
  bench: BenchModel,
  loads: readonly LoadModel[],
  taken: Taken,
): EntryOf<'capture'> {
  const truth = carried(bench, loads)
  const random = seeded(taken.seed + 1)
  const current = inputCurrent(truth.I, pulsing)
  // What answers at 100 Hz is the ohmic part of the bank with its leads, about half of what ten seconds show.
  const behind = bench.bank.R / 2 + [...bench.path.values()].reduce((sum, R) => sum + R, 0)
  const turning = steadily(bench.unit.frequency, random.next())
  const columns: [string, Float64Array][] = [
    [
      'V_B (V)',
      sample({ ...stationScope, bits: 12 }, terminalVolts(truth.V_B, behind, current, truth.I), turning, {
        seconds,
        random,
      }),
    ],
    ['I_DC (A)', sample(stationScope, current, turning, { seconds, random, channel: 1 })],
  ]
  return keepCapture(files, asTable(stationScope.rate, columns), taken, specifiedAs(stationScope))
}

function carried(bench: BenchModel, loads: readonly LoadModel[]): Truth {
  const truth = operate(bench, loads)
  if (!truth) throw new Error('The supply cannot deliver this step.')
  return truth
}

/** Corners of the grid in the picture of a screen, a little at a slant. */
const grid: Corners = [
  { x: 84, y: 52 },
  { x: 652, y: 84 },
  { x: 634, y: 452 },
  { x: 66, y: 470 },
]
const across = 0.05
const most = 400

/** A photograph of a scope's screen, as far as code draws one, and what is lifted from it. */
export function capturePicture(
  files: Files,
  bench: BenchModel,
  { at, revision, seed, name, about }: Taken,
): EntryOf<'capture'> {
  const { unit } = bench
  const wave = outletWave(unit, carried(bench, []))
  const pixels = screenPicture(wave, { cycles: across * unit.frequency, most, grid })
  const png = new PNG({ width: pixels.width, height: pixels.height })
  png.data = Buffer.from(pixels.data)
  const bytes = new Uint8Array(PNG.sync.write(png))
  const sha256 = createHash('sha256').update(bytes).digest('hex')
  files.set(sha256, bytes)
  const lifted = liftTrace(pixels, {
    corners: grid,
    colour: trace,
    seconds: across,
    volts: 2 * most,
    middle: 0,
  })
  if ('fault' in lifted) throw new Error(lifted.fault)
  const { figures } = analyseCapture(lifted.sampled)
  return {
    id: seeded(seed).id(Date.parse(at)),
    revision,
    at,
    kind: 'capture',
    reading: {
      sha256,
      size: bytes.length,
      name,
      type: 'image/png',
      picture: true,
      instrument: { name: 'Picture of a screen', percent: 10, typical: true },
      recipe: { rate: figures.rate, channels: [{ column: 0, quantity: 'V_C', factor: 1 }] },
      figures,
      ...(about === undefined ? {} : { about }),
    },
  }
}
