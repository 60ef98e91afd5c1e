import type { EntryOf } from '@even-watt/contract'
import { say, type Refusal } from '../figures'
import { readingsOf, type RevisionRecord } from '../trials'

/** Samples a cycle under which amplitudes and watts are not what was there. */
const tellsAmplitude = 10
/** Share by which a unit's frequency may be off its label before the rate of the capture is. */
const offFrequency = 0.15

/**
 * Why a capture must not decide (docs/method/waveform.md): it is aliased, or too coarse; its rate cannot be what is said; or the
 * reading that it belongs to is doubted. Undefined: nothing speaks against it.
 */
function unfitCapture(
  { reading }: EntryOf<'capture'>,
  { revision: { unit }, doubts }: Pick<RevisionRecord, 'revision' | 'doubts'>,
): Refusal | undefined {
  const { figures, about, reference } = reading
  const doubt = about === undefined ? undefined : doubts.readings.get(about)
  if (doubt !== undefined)
    return { why: `what it belongs to is doubted: ${doubt}.`, todo: 'Capture it again.' }
  if (reference !== undefined) return undefined
  if (figures.aliased)
    return {
      why: 'its energy crowds under half its rate: what is faster shows as something slower.',
      todo: 'Capture it with a higher rate.',
    }
  const frequency = figures.frequency?.value
  const hertz = frequency ?? unit.outputFrequency
  if (figures.rate / hertz < tellsAmplitude)
    return {
      why: `it has only ${say(figures.rate / hertz, 'samples', 2)} a cycle.`,
      todo: 'Capture it with a higher rate.',
    }
  if (frequency !== undefined && Math.abs(frequency / unit.outputFrequency - 1) > offFrequency)
    return {
      why: `it shows ${say(frequency, 'Hz')}, where ${say(unit.outputFrequency, 'Hz')} are due: its rate is not what is said.`,
      todo: 'Bring it in again with the rate of the instrument.',
    }
  return undefined
}

/** The captures of a revision that must not decide, by their entries. */
export const unfitCaptures = (record: RevisionRecord): ReadonlyMap<string, Refusal> =>
  new Map(
    readingsOf(record, 'capture').flatMap((entry) => {
      const refused = unfitCapture(entry, record)
      return refused ? [[entry.id, refused] as const] : []
    }),
  )
