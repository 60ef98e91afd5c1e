import { isFigure, say } from '../figures'
import type { AttemptFigures } from './attempt'
import type { Ended } from '../blame'

type Tried = AttemptFigures & { readonly ended: Ended | undefined }

const failed = ({ outcome }: Tried) => outcome !== 'started'
/** Bank volts apart by more than this share are another charge. */
const lower = 0.01

/**
 * What several attempts at one machine show together: where a later one failed or came late on a lower bank, all else alike,
 * the bank made the difference; the other way round, its charge did. A sentence for each machine of which that can be said.
 */
export function trendsOf(attempts: readonly Tried[]): string[] {
  const machines = [...new Set(attempts.map(({ entry }) => entry.reading.load))]
  return machines.flatMap((load) => {
    const tried = attempts.filter(({ entry }) => entry.reading.load === load)
    return tried.slice(1).flatMap((later, i) => {
      const earlier = tried[i] as Tried
      if (failed(earlier) === failed(later) || !alike(earlier, later)) return []
      const [bad, good] = failed(later) ? [later, earlier] : [earlier, later]
      const [low, high] = [bad.inputBefore, good.inputBefore]
      if (low === undefined || high === undefined || low > high * (1 - lower)) return []
      const volts = [good, bad].map(({ lowest }) => (isFigure(lowest) ? say(lowest.x.value, 'V') : undefined))
      const kept = volts.every(Boolean) ? ` Its output kept ${volts[0] ?? ''} and ${volts[1] ?? ''}.` : ''
      return [
        `${load.charAt(0).toUpperCase()}${load.slice(1)}: with the bank at ${say(high, 'V', 4)} it started (attempt ${good.entry.reading.number}), at ${say(low, 'V', 4)} it ${said(bad)} (attempt ${bad.entry.reading.number}), all else alike: the bank made the difference.${kept}`,
      ]
    })
  })
}

const said = ({ outcome }: Tried) =>
  ({
    started: 'started',
    'started late': 'started late',
    stalled: 'stalled',
    tripped: 'tripped',
    'tripped and recovered': 'tripped',
  })[outcome]

const alike = (a: Tried, b: Tried) =>
  (a.entry.reading.state ?? '') === (b.entry.reading.state ?? '') &&
  (a.entry.reading.baseLoad ?? 0) === (b.entry.reading.baseLoad ?? 0) &&
  (a.entry.reading.assist ?? 1) === (b.entry.reading.assist ?? 1) &&
  a.entry.reading.leg === b.entry.reading.leg
