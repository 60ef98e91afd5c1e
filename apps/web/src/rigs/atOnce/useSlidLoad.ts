import { mostPower, supplyOf, terminalSource, underPower, type KnownSupply } from '@even-watt/core'
import { useState } from 'react'

export interface SlidLoad {
  readonly by: 'A' | 'W'
  readonly value: number
  readonly most: number
  readonly slide: (value: number) => void
  readonly choose: (by: 'A' | 'W') => void
  /** A into the unit; 0 where the supply cannot deliver what was slid. */
  readonly current: number
  /** W into the unit that the supply cannot exceed, when more was slid. */
  readonly beyond: number | undefined
}

const mostAmps = 400
/** A, before anything is slid. */
export const firstAmps = 50

/** A load the tester slides, in amperes or in watts into the unit, as a current (docs/method/rigs.md). */
export function useSlidLoad(known: KnownSupply | undefined, nominal: number): SlidLoad {
  const [by, choose] = useState<'A' | 'W'>('A')
  const [slid, slide] = useState(firstAmps)
  const most = by === 'A' ? mostAmps : Math.round((mostAmps * nominal) / 100) * 100
  const value = Math.min(slid, most)
  const supply = known && supplyOf(known)
  const point = by === 'W' && supply ? underPower(supply, value) : undefined
  const current = by === 'A' ? value : supply ? (point?.I ?? 0) : value / nominal
  const beyond = by === 'W' && supply && !point ? mostPower(terminalSource(supply)) : undefined
  const changeTo = (unit: 'A' | 'W') => {
    if (unit !== by) slide(Math.round(unit === 'W' ? value * nominal : value / nominal))
    choose(unit)
  }
  return { by, value, most, slide, choose: changeTo, current: Math.round(current * 10) / 10, beyond }
}
