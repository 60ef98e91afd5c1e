import { rangeOf } from '../../evidence'
import type { Notice } from '../../oddities'
import { plain } from '../../figures'

/** Repeats from which a drift is told. */
const telling = 3

/** 9: repeats that still drift one way. */
export const noticeDrift: Notice = ({ analysis }) => {
  const { revision } = analysis.record
  return analysis.ladder.recorded.flatMap((step) => {
    if (step.readings.length < telling) return []
    const powers = step.readings.flatMap((entry) => {
      const value = entry.reading.values.find((candidate) => candidate.quantity === 'P_C')
      return value ? [value] : []
    })
    const [first, last] = [powers[0], powers.at(-1)]
    if (powers.length < telling || !first || !last) return []
    const meter = revision.meters.find((candidate) => candidate.id === last.meter)
    const range = meter && rangeOf(meter, last)
    const oneWay = powers.every(
      (power, i) =>
        i === 0 ||
        Math.sign(power.value - (powers[i - 1]?.value ?? 0)) === Math.sign(last.value - first.value),
    )
    const change = Math.abs(last.value - first.value)
    if (!range || !oneWay || change <= Math.max(3 * range.count, 0.015 * last.value)) return []
    return [
      {
        number: 9,
        odd: `The load was still moving: ${plain(first.value)} W, then ${plain(last.value)} W.`,
        why: 'Elements take more while cold; a step read before settling lands off the curve.',
        todo: 'Wait for it to settle and repeat the step.',
        at: { revision: revision.number, step: step.id },
      },
    ]
  })
}
