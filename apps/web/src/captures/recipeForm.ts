import { channelQuantities, type ChannelQuantity, type Recipe } from '@even-watt/contract'
import { readNumber, typed } from '../ui/form'

/** What a column is, as it is chosen. */
export type Meaning = ChannelQuantity | 'time' | ''

export interface RecipeForm {
  /** Samples a second, where no column says the time. */
  readonly rate: string
  readonly raw: Recipe['raw']
  readonly columns: readonly { readonly meaning: Meaning; readonly factor: string }[]
}

export const meanings: readonly Meaning[] = ['', 'time', ...channelQuantities]

/** A recipe as a form over so many columns. */
export function formOf(recipe: Recipe, count: number): RecipeForm {
  return {
    rate: recipe.time ? '' : typed(recipe.rate),
    raw: recipe.raw,
    columns: Array.from({ length: count }, (_, column) => {
      if (recipe.time?.column === column) return { meaning: 'time', factor: typed(recipe.time.factor) }
      const channel = recipe.channels.find((one) => one.column === column)
      return { meaning: channel?.quantity ?? '', factor: typed(channel?.factor ?? 1) }
    }),
  }
}

/** The recipe that a form says, or what is wrong with it by its place: a column's number, or "rate". */
export function recipeOf(form: RecipeForm): { recipe?: Recipe; faults: Readonly<Record<string, string>> } {
  const faults: Record<string, string> = {}
  const factors = form.columns.map(({ meaning, factor }, i) => {
    if (!meaning) return 1
    const { value, why } = readNumber(factor)
    if (why !== undefined) faults[i] = why
    else if (value === undefined || value === 0) faults[i] = 'A factor is needed, other than 0.'
    else if (meaning === 'time' && value < 0) faults[i] = 'Time runs forward: a factor above 0.'
    return value ?? 1
  })
  const seen = new Set<Meaning>()
  form.columns.forEach(({ meaning }, i) => {
    if (meaning && seen.has(meaning)) faults[i] = 'Another column is taken for this already.'
    seen.add(meaning)
  })
  const timeAt = form.columns.findIndex(({ meaning }) => meaning === 'time')
  const rate = readNumber(form.rate)
  if (timeAt < 0) {
    if (rate.why !== undefined) faults['rate'] = rate.why
    else if (!((rate.value ?? 0) > 0)) faults['rate'] = 'How many samples a second? Such as 50000, or 50k.'
  }
  const channels = form.columns.flatMap(({ meaning }, column): Recipe['channels'] =>
    meaning === '' || meaning === 'time' ? [] : [{ column, quantity: meaning, factor: factors[column] ?? 1 }],
  )
  if (!channels.length) faults['columns'] = 'Say of one column what it holds.'
  if (Object.keys(faults).length) return { faults }
  return {
    faults,
    recipe: {
      channels,
      ...(form.raw ? { raw: form.raw } : {}),
      ...(timeAt >= 0
        ? { time: { column: timeAt, factor: factors[timeAt] ?? 1 } }
        : rate.value === undefined
          ? {}
          : { rate: rate.value }),
    },
  }
}
