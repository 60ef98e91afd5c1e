import { tellingRig, viewTrial, weighReadings } from '@even-watt/core'
import { ladderOf } from './ladders'
import { medianTime, say } from './report'

/** Weighing what to read next, from nothing and after some readings, beside what is promised. */
export async function benchWeighing(): Promise<void> {
  for (const steps of [0, 10, 100]) {
    const { trial, entries: all } = ladderOf(Math.max(1, steps), 1)
    // A promise of ten minutes that nothing has shown keeps a load to be weighed.
    const entries = steps ? all : []
    const time = await medianTime(3, () => {
      const view = viewTrial(structuredClone(trial), structuredClone(entries))
      const analysis = tellingRig(view.analyses) ?? view.analyses[0]
      if (analysis) weighReadings({ on: { analysis }, view, trial }, entries)
    })
    say(`weigh what to read next after ${steps} steps`, time, 'what is promised', 1000, 'ms')
  }
}
