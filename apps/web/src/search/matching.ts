import type { Place } from './screens'

/** What was typed, word by word. */
export const wordsIn = (query: string): string[] => query.toLowerCase().split(/\s+/).filter(Boolean)

/** Every word stands in the name of a place, or among the words by which it is looked for. */
export const holds = ({ words, looked = '' }: Place, parts: readonly string[]): boolean => {
  const text = `${words} ${looked}`.toLowerCase()
  return parts.every((part) => text.includes(part))
}
