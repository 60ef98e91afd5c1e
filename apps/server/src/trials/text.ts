import type { Entry, Trial } from '@even-watt/contract'

/** A trial with its entries as the text that the database has of them: quick to hand on, and read where it is worked with. */
export interface TrialText {
  readonly trial: Trial
  readonly entries: string
}

export const entriesOf = ({ entries }: TrialText): Entry[] => JSON.parse(entries) as Entry[]
