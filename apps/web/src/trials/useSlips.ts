import type { Quantity } from '@even-watt/contract'
import {
  kilowattHours,
  parseNumber,
  quantityData,
  ratedPower,
  slipIn,
  typedNumber,
  usableEnergy,
  type Analysis,
} from '@even-watt/core'
import { useRef } from 'react'
import { storedFactor } from '../ui/readValue'

/** A value that cannot stand on this bench, as it was typed and as it may have been meant. */
export interface Slip {
  readonly name: string
  readonly words: string
  readonly unit: string
  readonly typed: string
  readonly meant: string
}

export interface TypedValue {
  /** Of its field. */
  readonly name: string
  readonly quantity: Quantity
  readonly text: string | undefined
}

/** Asks about what was typed with its point in the wrong place; what was said to be right is not asked about again. */
export function useSlips({ record }: Analysis) {
  const right = useRef(new Set<string>())
  const { unit, rig } = record.revision
  const madeFor = { unit, bank: rig.bank, rating: ratedPower(unit) }
  const keyOf = ({ name, typed }: Pick<Slip, 'name' | 'typed'>) => `${name} ${typed}`
  const slipOf = ({ name, quantity, text = '' }: TypedValue): Slip[] => {
    const typed = text.trim()
    const parsed = parseNumber(typed)
    if (!typed || !parsed.ok || right.current.has(keyOf({ name, typed }))) return []
    const { unit, words } = quantityData[quantity]
    const factor = storedFactor(quantity)
    const meant =
      unit === 'Wh'
        ? kilowattHours(parsed.value, usableEnergy(rig.bank))
        : slipIn(quantity, parsed.value * factor, madeFor)
    return meant === undefined ? [] : [{ name, words, unit, typed, meant: typedNumber(meant / factor) }]
  }
  return {
    /** The first that may have slipped. */
    first: (all: readonly TypedValue[]): Slip | undefined => all.flatMap(slipOf)[0],
    isRight: (slip: Slip): void => void right.current.add(keyOf(slip)),
  }
}
