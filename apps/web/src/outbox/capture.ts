import { Entry, sentences } from '@even-watt/contract'
import { v7 } from 'uuid'
import { safeParse } from 'zod/mini'
import { post } from './outbox'

/** This page, and its clock that nobody sets. */
const page = v7()

/** When something is captured now: by the wall clock, and by the page's own. */
export const moment = (): Required<Pick<Entry, 'at' | 'clock'>> => ({
  at: new Date().toISOString(),
  clock: { page, seconds: Math.round(performance.now()) / 1000 },
})

/** Initials of who reads at this browser now. */
let reader: string | undefined

/** What is captured from now on carries these initials. */
export const readBy = (initials: string | undefined): void => {
  reader = initials
}

type Unmade<E> = E extends Entry ? Omit<E, 'id' | 'at'> & Partial<Pick<E, 'id' | 'at'>> : never

/** What is captured: an entry, without what the moment adds where it is of this moment. */
export type Made = Unmade<Entry>

export type Captured =
  | { readonly entry: Entry; /** Resolves when it is kept. */ readonly kept: Promise<void> }
  | { readonly faults: readonly { path: string; message: string }[] }

/**
 * The one way into the record, for every form, source and import: what is captured is asked of the contract before
 * anything is kept. What is wrong comes back in sentences by its path, and nothing is kept.
 */
export function capture(trial: string, made: Made): Captured {
  const checked = safeParse(Entry, {
    id: v7(),
    ...(reader === undefined ? {} : { by: reader }),
    ...(made.at === undefined ? moment() : {}),
    ...made,
  })
  if (!checked.success) return { faults: sentences(checked.error) }
  return { entry: checked.data, kept: post([{ trial, entry: checked.data }]) }
}
