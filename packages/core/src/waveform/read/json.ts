import { mostSamples } from '../limits'
import { tooMany, Unreadable, type Columns } from './columns'

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

const isNumbers = (value: unknown): value is number[] =>
  Array.isArray(value) &&
  value.length > 1 &&
  value.every((one) => typeof one === 'number' && Number.isFinite(one))

const taken =
  'a list of numbers, or an object of such lists with "rate" (samples a second) or "dt" (s), is taken'

/** Lists of numbers by their name, at most two levels deep. */
function listsIn(value: unknown, name = '', depth = 0): { heading: string; numbers: number[] }[] {
  if (isNumbers(value)) return [{ heading: name, numbers: value }]
  if (depth > 2) return []
  if (isObject(value)) {
    const heading =
      [value['name'], value['unit']].filter((word) => typeof word === 'string').join(' ') || name
    return Object.entries(value).flatMap(([key, inner]) =>
      listsIn(
        inner,
        isNumbers(inner) && ['samples', 'values', 'data'].includes(key) ? heading : key,
        depth + 1,
      ),
    )
  }
  return Array.isArray(value) && value.length <= 64
    ? value.flatMap((inner, i) => listsIn(inner, `${name} ${i + 1}`.trim(), depth + 1))
    : []
}

/** Reads samples as JSON. Throws `Unreadable` where it is none, or holds no lists of numbers of one length. */
export function readJson(text: string): Columns {
  let content: unknown
  try {
    content = JSON.parse(text)
  } catch {
    throw new Unreadable(`This is no whole JSON document: ${taken}.`)
  }
  const lists = listsIn(content)
  const [first] = lists
  if (!first) throw new Unreadable(`There are no samples in it: ${taken}.`)
  if (lists.some(({ numbers }) => numbers.length > mostSamples)) throw tooMany()
  const even = lists.filter(({ numbers }) => numbers.length === first.numbers.length).slice(0, 64)
  const said = (key: string) => (isObject(content) && typeof content[key] === 'number' ? content[key] : NaN)
  const rate = said('rate') > 0 ? said('rate') : said('dt') > 0 ? 1 / said('dt') : undefined
  const left = lists.length - even.length
  return {
    columns: even.map(({ heading, numbers }) => ({ heading, values: Float64Array.from(numbers) })),
    ...(rate === undefined ? {} : { rate }),
    notes: left ? [`${left} lists of another length are left out.`] : [],
  }
}
