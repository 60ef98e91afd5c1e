import { createContext, useContext, useState, type ReactNode } from 'react'
import { firstAmps } from './useSlidLoad'

const Current = createContext(firstAmps)
const SetCurrent = createContext<(current: number) => void>(() => undefined)

/** Holds the slid current for what hangs on it: the rest of a page is not drawn again for each step of the slide. */
export function SlidCurrent({ children }: { children: ReactNode }) {
  const [current, setCurrent] = useState(firstAmps)
  return (
    <SetCurrent value={setCurrent}>
      <Current value={current}>{children}</Current>
    </SetCurrent>
  )
}

/** A into the unit, a moment after it was slid. */
export const useSlidCurrent = () => useContext(Current)
export const useSetSlidCurrent = () => useContext(SetCurrent)
