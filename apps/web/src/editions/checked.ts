import type { Edition } from '@even-watt/contract'
import { shortDate } from '../ui/dates'
import type { ReadPage } from './page'

/** What is said of a page that somebody brings. */
export interface Checked {
  readonly kind: 'good' | 'problem' | 'odd'
  readonly words: string
  readonly proves: readonly string[]
  readonly cannot: readonly string[]
}

const notTrue = 'That the readings are true, or who published it.'
const madeAnew = 'That it was not made anew somewhere else, hashes and all: ask where it was published.'

/** Whether a page is what was published, by its own hashes and by the edition that this bench has of it. */
export function checked(name: string, page: ReadPage, known: Edition | undefined): Checked {
  if (page.found !== page.claimed)
    return changed(
      `${name} was changed after it was published: what it says does not have the hash that it names.`,
    )
  if (page.whole === 'changed' || (known && known.sha256 !== page.sha256))
    return changed(
      `${name} was changed around what it says: its title, its styles, or what stands before or after it.`,
    )
  if (known)
    return {
      kind: 'good',
      words: `This is edition ${known.number} of “${known.title}”, as it was published on ${shortDate(known.madeAt)}.`,
      proves: ['That nothing in the file was changed: words, figures, drawings, styles and title.'],
      cannot: [notTrue],
    }
  return {
    kind: 'odd',
    words: `${name} has the hash that it names, but no such edition was published on this bench.`,
    proves:
      page.whole === 'as named'
        ? ['That the whole file fits the hash in its head.']
        : [
            'That what it says fits the hash in its head; not its title or styles, which it names no hash for.',
          ],
    cannot: [madeAnew, notTrue],
  }
}

const changed = (words: string): Checked => ({
  kind: 'problem',
  words: `${words} Take a fresh copy from whoever published it.`,
  proves: [],
  cannot: [],
})
