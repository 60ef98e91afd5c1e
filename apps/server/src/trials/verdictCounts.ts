import { outcomes, type Outcome, type TrialVerdicts } from '@even-watt/contract'
import { viewTrial } from '@even-watt/core'
import { entriesOf, type TrialText } from './text'

/** How many claims of a trial stand how. */
export function verdictCounts(text: TrialText): TrialVerdicts[string] {
  const { findings } = viewTrial(text.trial, entriesOf(text))
  const count = (outcome: Outcome) => findings.filter(({ standing }) => standing.outcome === outcome).length
  return outcomes.map((outcome) => ({ outcome, count: count(outcome) })).filter((one) => one.count > 0)
}
