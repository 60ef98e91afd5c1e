import { catalogue } from '@even-watt/core'
import { distance } from 'fastest-levenshtein'
import { wordsIn } from './matching'
import { fixedPlaces, type Place } from './screens'

/** Letters that may be wrong in a word of so many. */
const mayBeWrong = (letters: number): number => Math.max(1, Math.floor(letters / 3))

const plainWord = /[^\p{L}\p{N}-]+/gu

const known = new Set(
  [
    ...catalogue.all.flatMap(({ words, looked }) => [words, ...looked]),
    ...fixedPlaces.flatMap(({ words, looked = '' }) => [words, looked]),
  ].flatMap((text) => wordsIn(text.replace(plainWord, ' '))),
)

/** What was typed with each unknown word as the known one that is nearest; undefined where a word is like none, or all are known. */
export function nearestTo(query: string, places: readonly Place[]): string | undefined {
  const vocabulary = [...known, ...places.flatMap(({ words }) => wordsIn(words.replace(plainWord, ' ')))]
  const typed = wordsIn(query)
  const meant = typed.map((word) => nearestWord(word, vocabulary))
  const said = meant.every((word) => word !== undefined) ? meant.join(' ') : undefined
  return said === typed.join(' ') || !said ? undefined : said
}

function nearestWord(word: string, vocabulary: readonly string[]): string | undefined {
  let nearest: string | undefined
  let apart = mayBeWrong(word.length) + 1
  for (const one of vocabulary) {
    if (one.startsWith(word)) return word
    const letters = distance(one, word)
    if (letters < apart) [nearest, apart] = [one, letters]
  }
  return nearest
}
