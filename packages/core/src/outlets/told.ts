import { capital } from '../figures'
import type { Analysis } from '../trials'
import { breakersOf } from './breaker'
import { cordsOf } from './cord'
import { eachOutlet } from './eachOutlet'
import { groundFaults } from './groundFault'
import { besideMains } from './onTheMains'

/** What every test behind the outlets says, in sentences, by its entry. */
export const outletSentences = (analysis: Analysis): ReadonlyMap<string, readonly string[]> =>
  new Map(
    [
      ...eachOutlet(analysis),
      ...cordsOf(analysis),
      ...breakersOf(analysis),
      ...groundFaults(analysis),
      ...besideMains(analysis),
    ].map(({ entry, sentences }) => [entry.id, sentences.map(capital)]),
  )
