import { formatNumber, type Figure } from '../../figures'
import { notShown, type Evidence, type Verdict } from '../../findings'
import type { RunDown } from '../runDown'

/** Watts within which a run-down is one at the load that is asked for. */
export const atLoad = 0.05

/** Whether it is noted that it was full before, or its gauge said so. */
export const wasFull = ({ log }: RunDown): boolean => {
  const { full, charge } = log.entry.reading
  return full === undefined || full === 'not known' ? (charge ?? 0) >= 0.99 : full !== 'not full'
}

/** Short of a promise, from a store of which nobody knows that it was full: that is not the unit’s. */
export function perhapsNotFull(evidence: Evidence, { log }: RunDown, what: string, figure: Figure): Verdict {
  return log.entry.reading.full === 'not full'
    ? notShown(evidence, 'supply', `${what}, and was not full before.`, 'Fill it first.', figure)
    : notShown(
        evidence,
        'supply',
        `${what}; whether it was full before is not noted.`,
        'Note at its beginning what full meant, or fill it and run it down again.',
        figure,
      )
}

export const sayLoad = (watts: number | undefined): string =>
  watts === undefined ? '–' : formatNumber(watts, 0)
