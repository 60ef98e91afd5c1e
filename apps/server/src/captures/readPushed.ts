import { mostSamples, type Capture, type Recipe } from '@even-watt/contract'
import { guessRecipe, readFile, recipeFits, Unreadable, type Columns } from '@even-watt/core/waveform/index'
import { ProblemError } from '../http/problem'
import { figuresOf } from './workBytes'

/** Samples a channel that are worked while a script waits; the page takes longer records. */
const mostPushed = 2_000_000

/** A remembered recipe serves where the file has its columns; else the columns are guessed. */
function recipeFor(columns: Columns, remembered: Recipe | undefined, rate: number | undefined): Recipe {
  const recipe =
    remembered && recipeFits(remembered, columns.columns.length) ? remembered : guessRecipe(columns)
  // The file's own rate counts before that of an earlier one.
  const known = rate ?? columns.rate
  return known === undefined ? recipe : { ...recipe, rate: known }
}

/** Reads the bytes of a script as the last capture of its instrument was read; a problem says why they cannot be. */
export function readPushed(
  bytes: Uint8Array,
  remembered: Recipe | undefined,
  rate: number | undefined,
): Pick<Capture, 'recipe' | 'figures'> {
  try {
    const columns = readFile(bytes, remembered?.raw)
    if ((columns.columns[0]?.values.length ?? 0) > Math.min(mostPushed, mostSamples))
      throw new Unreadable(
        `Up to ${mostPushed / 1e6} million samples are taken from a script: bring longer records in by the page.`,
      )
    const recipe = recipeFor(columns, remembered, rate)
    return { recipe, figures: figuresOf(columns, recipe) }
  } catch (error) {
    if (error instanceof Unreadable)
      throw new ProblemError(422, 'This capture cannot be read.', error.message)
    throw error
  }
}
