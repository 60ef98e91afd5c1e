import type { Entry, Trial } from '@even-watt/contract'
import { tellingRig, viewTrial, weighReadings, type ReadingOrder } from '@even-watt/core'
import { expose } from 'comlink'

/** What to read next is weighed beside the page, so that the hand does not wait for it. */
const weigher = {
  weigh: (trial: Trial, entries: readonly Entry[]): ReadingOrder | undefined => {
    const view = viewTrial(trial, entries)
    const analysis = tellingRig(view.analyses) ?? view.analyses.at(-1)
    return analysis && weighReadings({ on: { analysis }, view, trial }, entries)
  },
}

export type Weigher = typeof weigher

expose(weigher)
