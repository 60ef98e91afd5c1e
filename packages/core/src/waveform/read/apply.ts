import type { Recipe } from '@even-watt/contract'
import type { Sampled } from '../samples'
import { Unreadable, type Columns } from './columns'
import { timesOf } from './evenness'

/** Whether a recipe can be laid over a file of so many columns. */
export const recipeFits = ({ channels, time }: Recipe, count: number): boolean =>
  [...channels.map(({ column }) => column), time?.column ?? 0].every((column) => column < count)

/** Samples in V and A over time, as a recipe has it, with what is to be said of the times. Throws `Unreadable`. */
export function applyRecipe(
  { columns, digits, rate }: Columns,
  recipe: Recipe,
): { sampled: Sampled; notes: readonly string[] } {
  const channels = recipe.channels.map(({ column, quantity, factor }) => {
    const values = columns[column]?.values
    if (!values) throw new Unreadable(`Column ${column + 1} is not in this file: it has ${columns.length}.`)
    return { quantity, x: values.map((value) => value * factor) }
  })
  const known = recipe.rate ?? rate
  const { time } = recipe
  const column = time && columns[time.column]
  if (time && column) {
    const times = timesOf(
      column.values.map((value) => value * time.factor),
      (digits?.[time.column] ?? 0) * time.factor,
    )
    if (!times)
      throw new Unreadable(
        `The column of times does not run on: choose another, or say the samples a second.`,
      )
    return { sampled: { dt: times.dt, times: times.uneven, channels }, notes: times.notes }
  }
  if (known === undefined)
    throw new Unreadable('How quickly it was sampled is not said: give the samples a second.')
  return { sampled: { dt: 1 / known, times: undefined, channels }, notes: [] }
}
