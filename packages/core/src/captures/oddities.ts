import { quantityData } from '../evidence'
import { formatNumber, say } from '../figures'
import type { Notice, Oddity } from '../oddities'
import type { SeenWave } from './seen'

const placeOf = ({ entry, step }: SeenWave): Oddity['at'] => ({
  revision: entry.revision,
  entry: entry.id,
  ...(step === undefined ? {} : { step }),
})

/** Looks at each wave that was captured. */
const eachWave =
  (find: (seen: SeenWave) => Omit<Oddity, 'at'> | undefined): Notice =>
  ({ analysis: { captures } }) =>
    captures.seen.flatMap((seen) => {
      const found = find(seen)
      return found ? [{ ...found, at: placeOf(seen) }] : []
    })

/** 24: what a capture shows is far from what was read: a power of ten is the factor of its probe or clamp. */
export const noticeFar: Notice = ({ analysis: { captures } }) =>
  captures.seen.flatMap((seen): Oddity[] => {
    const [far] = seen.far
    if (!far) return []
    const { captured, read, tens, of } = far
    const { unit, words } = quantityData[of]
    const probe = of === 'I_C' || of === 'P_C' || of === 'I' ? 'clamp' : 'probe'
    const odd = tens
      ? `That is a factor of ${tens >= 1 ? tens : `1/${Math.round(1 / tens)}`}: that of its ${probe} was not set.`
      : 'Its factor or its range is wrong, or it is another moment.'
    return [
      {
        number: 24,
        odd: `${seen.entry.reading.name} shows ${say(captured, unit)} of ${words}, where ${say(read, unit)} are due.`,
        why: `${odd} What follows from it is left out; its shape is sound.`,
        todo: tens
          ? 'Bring it in again with the factor of that channel.'
          : 'Look at the probe and the range, and capture it again.',
        at: placeOf(seen),
      },
    ]
  })

/** 31: the range cut its tops off. */
export const noticeClipped = eachWave(({ volts, entry }) =>
  volts.clipped
    ? {
        number: 31,
        odd: `${entry.reading.name} stands at its highest or lowest code: it is clipped, or truly flat.`,
        why: 'Peak and crest factor are at least what it shows, RMS and THD are not known.',
        todo: 'Take a larger range and capture it again.',
      }
    : undefined,
)

/** Samples a cycle under which harmonics are few, and bits that a floor stands for. */
const coarse = 50
const noisy = 0.01

/** 32: too coarse or aliased for harmonics, or its floor hides a small THD. */
export const noticeTooCoarse = eachWave(({ volts, entry, inTime }) => {
  const { name, figures } = entry.reading
  const { aliased, frequency, rate, cycles, uneven } = figures
  const perCycle = frequency ? rate / frequency.value : undefined
  if (entry.reading.picture || inTime) return undefined
  const odd = aliased
    ? `${name} holds much that is as quick as its samples.`
    : perCycle !== undefined && perCycle < coarse
      ? `${name} has only ${formatNumber(perCycle, 0)} samples a cycle.`
      : !cycles && !uneven
        ? `${name} does not hold two whole cycles of a wave.`
        : (volts.wave?.floor ?? 0) > noisy
          ? `Noise in ${name} alone shows as ${formatNumber((volts.wave?.floor ?? 0) * 100, 1)} % THD.`
          : undefined
  return odd === undefined
    ? undefined
    : {
        number: 32,
        odd,
        why: cycles
          ? 'Its harmonics are not all told, or not from noise.'
          : 'Volts depend on where it was cut, and there are no harmonics.',
        todo: 'Capture ten cycles or more, at 5,000 samples a second or more, in the smallest range that holds the peak.',
      }
})
