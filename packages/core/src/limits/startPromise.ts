import type { Claim } from '@even-watt/contract'
import { court, type Evidence, type Promised, type Verdict } from '../court'
import type { Analysis } from '../trials'

export interface StartAnswer {
  readonly answer: 'yes' | 'no' | 'close' | 'not shown'
  readonly why: string
  /** The same on a stiff supply, where this one is what stops it. */
  readonly onStiff?: 'yes' | 'close' | 'not shown'
}

interface Wanted {
  readonly value: number
  readonly unit: 'W' | 'VA'
  readonly analysis: Analysis
}

/** A start as the court sees it: so much at least, from all that was carried or started and all that gave out. */
export function asStart(evidence: readonly Evidence[], { value, unit, analysis }: Wanted): Verdict {
  const claim: Claim = {
    id: analysis.record.revision.unit.id,
    quantity: 'surge power',
    comparator: 'at least',
    value,
    unit,
    readWhere: 'a load',
  }
  const promised: Promised = {
    units: [unit],
    usual: { unit, comparator: 'at least' },
    at: 'limits',
    several: 'attempts',
    room: 'stated',
    voltsOf: 'carrying',
    wanted: () => value,
    evidence: () => evidence,
    absent: () => 'Nothing was carried for a measured time.',
  }
  return court(promised, { claim, analysis, settings: { hold: 0 }, limiter: undefined })
}
