import type { HeldFigure } from './against'

/** What of held figures can be told: known figures, and of their references those that are known. */
export const tellable = (figures: readonly HeldFigure[]): readonly HeldFigure[] =>
  figures
    .map((one) => ({ ...one, held: one.held.filter(({ difference }) => 'x' in difference) }))
    .filter(({ held }) => held.length > 0)
