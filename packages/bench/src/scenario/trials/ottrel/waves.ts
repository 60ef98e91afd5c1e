import type { Entry } from '@even-watt/contract'
import type { BenchModel } from '../../../ladder/operate'
import type { LoadModel } from '../../../loads/law'
import { seeded } from '../../../random'
import { shelf } from '../../loads'
import { captureOutlet, keepCapture, specifiedAs, stationScope, type Files } from '../../waves'
import { asSound, asTable } from '../../../waveform/files'
import { generatorWave, gridWave, hunting } from '../../../waveform/references'
import { sample, steadily } from '../../../waveform/scope'
import { ladderLoads } from './loads'

type Made = (
  about: { at: string; about: string; name: string },
  revision: number,
  seed: number,
  loads: readonly LoadModel[],
) => Entry

/** A wave at no load and at each step of one rig, saved when its first reading was taken. */
export function wavesOf(entries: readonly Entry[], revision: number, make: Made): Entry[] {
  const idle = entries.find((entry) => entry.kind === 'no load' && entry.revision === revision)
  const steps = [...ladderLoads, [shelf.ovenHigh, shelf.lamps(4)]]
  return [
    ...(idle
      ? [make({ at: idle.at, about: idle.id, name: 'no-load.csv' }, revision, 4000 + revision, [])]
      : []),
    ...steps.flatMap((loads, i) => {
      const load = loads.map(({ name }) => name).join(' + ')
      const first = entries.find(
        (entry) => entry.kind === 'ladder' && entry.revision === revision && entry.reading.load === load,
      )
      if (!first) return []
      const watts = loads.reduce((sum, one) => sum + one.watts, 0)
      return make(
        { at: first.at, about: first.id, name: `step-${watts}.csv` },
        revision,
        4010 + 20 * revision + i,
        loads,
      )
    }),
  ]
}

/** What was looked at beside: the dock's current, the grid by a sound card, the launch's generator. */
export function besides(files: Files, bench: BenchModel, at: string): Entry[] {
  const random = seeded(4200)
  const card = { ...stationScope, name: 'Sound card', bits: 16, rate: 8000, percent: 4, noise: 2 }
  const full = 652
  const grid = sample(card, gridWave, steadily(50.004, 0.21), { seconds: 0.25, random })
  const generator = sample(stationScope, generatorWave, hunting, { seconds: 1.2, random })
  const shared = { at, revision: 2 }
  return [
    captureOutlet(files, bench, [shelf.dock], {
      ...shared,
      seed: 4201,
      name: 'dock.csv',
      what: 'the dock alone',
    }),
    keepCapture(
      files,
      asSound(card.rate, grid, full),
      { ...shared, seed: 4202, name: 'grid.wav', reference: 'grid' },
      specifiedAs(card),
      { rate: card.rate, channels: [{ column: 0, quantity: 'V_C', factor: full }] },
    ),
    keepCapture(
      files,
      asTable(stationScope.rate, [['V_C (V)', generator]]),
      { ...shared, seed: 4203, name: 'generator.csv', reference: 'engine generator' },
      specifiedAs(stationScope),
    ),
  ]
}
