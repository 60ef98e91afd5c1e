import type { WaveClass } from '@even-watt/contract'
import { judgeFigure, notShown, notTested, type Judge } from '../findings'
import { distortionOf, shortOfAll, worstDistortion } from '../ladder'
import type { SeenWave } from './seen'

const named = ({ volts: { wave } }: SeenWave): WaveClass => wave?.class ?? 'unknown'

const isSine = (seen: SeenWave) => named(seen) === 'sine'

const places = (seen: readonly SeenWave[]) =>
  seen.map(({ load }) => (load === 'nothing connected' ? 'no load' : (load ?? ''))).join(', ')

/**
 * "Pure sine": the highest distortion that was read under a load that was carried, or at no load, is under what a sine may
 * have, and no capture shows another wave (docs/method/waveform.md). A picture shows the class and decides nothing.
 */
export const judgeWave: Judge = (evidence) => {
  const { analysis } = evidence
  const seen = analysis.captures.seen.filter(
    ({ load, carried, entry, volts }) =>
      load !== undefined && carried && !entry.reading.picture && volts.wave,
  )
  const other = seen.find((one) => !isSine(one))
  const figure = worstDistortion(evidence)
  if (!figure) {
    const pictured = analysis.captures.seen.find(({ entry, volts }) => entry.reading.picture && volts.wave)
    return notTested(
      pictured
        ? `Only a picture shows its wave, as ${named(pictured)}: that is an estimate. Capture it with a scope or a sound card.`
        : 'Its wave was not seen: capture it with a scope or a sound card, or photograph a scope’s screen.',
    )
  }
  const verdict = judgeFigure(evidence, figure, 'The highest THD')
  const said = other
    ? ` At ${places([other])} the wave is ${saidClass[named(other)]}.`
    : seen.length
      ? ` Captured at ${places(seen)}: a sine.`
      : ''
  const short = verdict.outcome.startsWith('met') ? shortOfAll(evidence, distortionOf) : undefined
  if (short)
    return notShown(
      evidence,
      'load',
      `${verdict.sentence}${said} ${short.why}`,
      'Capture it at the step nearest to rated.',
      figure,
    )
  return { ...verdict, sentence: `${verdict.sentence}${said}` }
}

/** A class as a sentence has it. */
export const saidClass: Readonly<Record<WaveClass, string>> = {
  sine: 'a sine',
  'distorted sine': 'a distorted sine',
  stepped: 'stepped',
  square: 'square',
  'half-wave': 'a half wave',
  unknown: 'of no known class',
}
