import { capital, findFigures } from '@even-watt/core'
import type { Place } from './screens'

/** Figures that the words name: each on its page in a trial, worked; without a trial on its page of the method. */
export const figurePlaces = (
  query: string,
  trial: { readonly id: string; readonly title: string } | undefined,
): Place[] =>
  findFigures(query).map(({ id, words, page, method }) => ({
    words: trial ? `${capital(words)}, in ${trial.title}` : `${capital(words)}: how it is worked`,
    to: trial ? `/trials/${trial.id}/${page}?figure=${encodeURIComponent(id)}` : `/method/${method}`,
  }))
