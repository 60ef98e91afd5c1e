import type { Figure, SourceName } from '@even-watt/core'
import { createContext, useContext } from 'react'

export interface WorkingContext {
  readonly show: (figure: Figure) => void
}

export const Working = createContext<WorkingContext>({ show: () => undefined })

/** Opens the working of a figure. */
export const useShowWorking = () => useContext(Working).show

/** Names a source of error for people; the trial knows its meters, other screens do not. */
export type NameSource = (source: SourceName) => string
