import type { Things } from './about'
import type { PhotographEntry } from './usePhotographs'

const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1)

/** What a photograph is, in a few words: what it shows, of what. */
export function sayPhotograph({ reading }: PhotographEntry, things?: Things): string {
  const of = reading.about === undefined ? undefined : things?.get(reading.about)
  return capital([reading.shows, of].filter(Boolean).join(': ') || 'A photograph')
}
