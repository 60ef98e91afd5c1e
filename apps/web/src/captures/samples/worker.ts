import type { Recipe } from '@even-watt/contract'
import {
  analyseCapture,
  applyRecipe,
  eventsIn,
  guessRecipe,
  halfCycleRms,
  readFile,
  type Columns,
  type Sampled,
} from '@even-watt/core/waveform/index'
import { expose } from 'comlink'
import { Pyramid } from './pyramid'

let columns: Columns | undefined
let sampled: Sampled | undefined
let pyramids: Pyramid[] = []

/** Samples are read, worked and drawn small beside the page, so that millions of them do not hold up the hand. */
const samples = {
  /** What the file holds, and what each column is taken for. */
  open(bytes: ArrayBuffer, raw?: Recipe['raw']) {
    columns = readFile(new Uint8Array(bytes), raw)
    const { columns: found, rate, notes, ofFullScale = false } = columns
    return {
      columns: found.map(({ heading, values }) => ({ heading, first: [...values.subarray(0, 3)] })),
      samples: found[0]?.values.length ?? 0,
      rate,
      notes,
      ofFullScale,
      guess: guessRecipe(columns),
    }
  },

  /** All figures, by a recipe. */
  work(recipe: Recipe, progress: (share: number) => void) {
    if (!columns) throw new Error('Nothing is open.')
    const applied = applyRecipe(columns, recipe)
    sampled = applied.sampled
    pyramids = sampled.channels.map(({ x }) => new Pyramid(x))
    return { ...analyseCapture(sampled, progress), notes: applied.notes }
  },

  /** Lowest and highest of a channel in each of so many slices from one sample to another. */
  look: (channel: number, from: number, to: number, slices: number) =>
    pyramids[channel]?.look(from, to, slices),

  /** A channel's value at a time. */
  valueAt(channel: number, sample: number) {
    return sampled?.channels[channel]?.x[Math.round(sample)]
  },

  /** Half-cycle RMS of a channel, and what is out of the ordinary in it. */
  halfCycles(channel: number, frequency: number, usual: number) {
    const x = sampled?.channels[channel]?.x
    return sampled && x ? eventsIn(halfCycleRms(x, sampled.dt, frequency), usual) : []
  },
}

export type Samples = typeof samples

expose(samples)
