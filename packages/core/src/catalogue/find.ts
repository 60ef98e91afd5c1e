import type { Figured } from '../figured'
import { catalogue, type Catalogue } from './catalogue'

/** All words by which a figure may be looked for. */
const wordsOfFigure = ({ words, head, looked, id }: Figured): string =>
  [words, head, ...looked, id].join(' ').toLowerCase()

/** Figures whose words hold every word that is looked for, those first whose own name holds them. */
export function findFigures(query: string, from: Catalogue = catalogue): Figured[] {
  const parts = query.toLowerCase().split(/\s+/).filter(Boolean)
  if (!parts.length) return []
  const holds = (text: string) => parts.every((part) => text.includes(part))
  const named = (one: Figured) => (holds(one.words.toLowerCase()) ? 0 : 1)
  return from.all.filter((one) => holds(wordsOfFigure(one))).sort((a, b) => named(a) - named(b))
}
