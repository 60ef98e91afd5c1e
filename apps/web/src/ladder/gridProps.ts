import type { Analysis } from '@even-watt/core'
import type { OwnColumns } from './ownColumns'

/** What the steps of a ladder are shown by, as rows or as cards. */
export interface GridProps {
  readonly analysis: Analysis
  readonly rated: number | undefined
  readonly chosen: string | undefined
  readonly oddSteps: ReadonlySet<string>
  readonly unsentSteps: ReadonlySet<string>
  readonly own: OwnColumns
  readonly onChoose: (step: string) => void
  /** Opens, or closes, what is read with nothing connected. */
  readonly onIdle: () => void
}

/** What its button says: nothing was read with nothing connected yet, or it is read again. */
export const readIdle = (readings: number): string => (readings ? 'Read again' : 'Read it')
