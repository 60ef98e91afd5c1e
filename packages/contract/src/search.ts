import * as z from 'zod/mini'
import { words } from './shared'

export const SearchQuery = z.object({ q: words('Words to look for', 100) })

/** Where something was found: which kind of page it stands on. */
export type FoundIn =
  | 'unit'
  | 'rig'
  | 'meter'
  | 'load'
  | 'checklist'
  | 'diary'
  | 'comparison'
  | 'trial'
  | 'finding'
  | 'remark'
  | 'photograph'
  | 'note'

export interface Found {
  readonly in: FoundIn
  /** Of the document, or of the trial in which it stands. */
  readonly id: string
  /** What that is called. */
  readonly name: string
  /** The words that hold what was searched for. */
  readonly words: string
}

export interface SearchAnswer {
  readonly found: readonly Found[]
  /** More than are told of. */
  readonly more: boolean
  /** Trials whose findings are still to be read: asking again goes on with them. */
  readonly unread: number
}

/** What runs on the bench: a log that was begun and not ended. */
export interface Running {
  readonly trial: string
  readonly title: string
  readonly log: string
  readonly revision: number
  readonly what: string
  readonly load?: string
  readonly begun: string
  /** When it was last looked at; when a look is due by the trial's own schedule, or every ten minutes. */
  readonly looked: string
  readonly due: string
}
