import { remembering } from '../remember'
import type { Analysis, RevisionRecord } from '../trials'
import { sagOf, type Sag } from './sag'
import { seenWaves, type SeenWave } from './seen'

/** What was seen of the output's wave on one rig. */
export interface CapturesAnalysis {
  readonly seen: readonly SeenWave[]
  /** Why it sags; undefined where fewer than two loads were captured. */
  readonly sag: Sag | undefined
}

declare module '../trials/analysis' {
  interface Analysis {
    readonly captures: CapturesAnalysis
  }
}

const same = remembering<RevisionRecord, CapturesAnalysis>()

export const analyseCaptures = (analysis: Analysis): CapturesAnalysis =>
  same(analysis.record, [], () => {
    const seen = seenWaves(analysis)
    return { seen, sag: sagOf(seen) }
  })
