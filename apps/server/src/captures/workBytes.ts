import { CaptureFigures, type Recipe } from '@even-watt/contract'
import {
  analyseCapture,
  applyRecipe,
  readFile,
  Unreadable,
  type Columns,
} from '@even-watt/core/waveform/index'
import { safeParse } from 'zod/mini'

/** What the bytes of a capture give by its recipe, or why they cannot be read by it. */
export type Found = { readonly figures: CaptureFigures } | { readonly fault: string }

/** Characters of a fault that an entry holds. */
const longest = 300

export function workBytes(bytes: Uint8Array, recipe: Recipe): Found {
  try {
    return { figures: figuresOf(readFile(bytes, recipe.raw), recipe) }
  } catch (error) {
    if (error instanceof Unreadable) return { fault: error.message.slice(0, longest) }
    throw error
  }
}

/** All figures of what was read; Unreadable where they are none that can be kept, as of samples of 1e300. */
export function figuresOf(columns: Columns, recipe: Recipe): CaptureFigures {
  const { success, data } = safeParse(
    CaptureFigures,
    analyseCapture(applyRecipe(columns, recipe).sampled).figures,
  )
  if (!success) throw new Unreadable('Its values are too large or too small to be worked with.')
  return data
}
