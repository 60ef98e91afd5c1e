import type { WaveClass } from '@even-watt/contract'
import type { Promised } from '../court'
import { distortion, distortionLook, overLoads } from '../ladder'
import { saidClass } from './saidClass'
import type { SeenWave } from './seen'

const named = ({ volts: { wave } }: SeenWave): WaveClass => wave?.class ?? 'unknown'

const places = (seen: readonly SeenWave[]) =>
  seen.map(({ load }) => (load === 'nothing connected' ? 'no load' : (load ?? ''))).join(', ')

/**
 * "Pure sine": the highest distortion that was read under a load that was carried, or at no load, is under what a sine may
 * have (docs/method/waveform.md). A picture shows the class and decides nothing.
 */
export const wave: Promised = {
  ...distortion,
  units: ['%'],
  usual: { unit: '%', comparator: 'at most', value: '5' },
  at: 'waves',
  // What is lifted from a picture is no evidence: that there is one is said where there is nothing else.
  evidence: (asked) =>
    overLoads({ ...distortionLook, what: 'the highest THD' }, asked).filter(
      ({ figure }) => figure.grade !== 'estimated',
    ),
  absent: ({ analysis }) => {
    const pictured = analysis.captures.seen.find(({ entry, volts }) => entry.reading.picture && volts.wave)
    return pictured
      ? `Only a picture shows its wave, as ${named(pictured)}: that is an estimate. Capture it with a scope or a sound card.`
      : 'Its wave was not seen: capture it with a scope or a sound card, or photograph a scope’s screen.'
  },
  beside: ({ outcome }, { analysis }) => {
    if (outcome === 'not tested') return []
    const seen = analysis.captures.seen.filter(
      ({ load, carried, entry, volts }) =>
        load !== undefined && carried && !entry.reading.picture && volts.wave,
    )
    const other = seen.find((one) => named(one) !== 'sine')
    if (other) return [`At ${places([other])} the wave is ${saidClass[named(other)]}.`]
    return seen.length ? [`Captured at ${places(seen)}: a sine.`] : []
  },
}
