import type { Claim, TrialSettings } from '@even-watt/contract'
import { underItsConditions } from './conditions'
import type { Finding } from './findings'
import { underItsVolts } from './statedVolts'
import { allOf } from './subjects'
import type { Analysis } from './trials'

/** A claim with its finding on every revision that tested it; the last of them stands. */
export interface ClaimFindings {
  readonly claim: Claim
  readonly standing: Finding
  readonly earlier: readonly Finding[]
}

const judges = allOf('judges')

/** Judges one claim on one revision. */
function judgeClaim(
  claim: Claim,
  analysis: Analysis,
  settings: Pick<TrialSettings, 'hold' | 'limiters'>,
): Finding {
  const revision = analysis.record.revision.number
  const limiter = settings.limiters.find((set) => set.claim === claim.id && set.revision === revision)
  const counted = underItsVolts(claim, analysis)
  const verdict = judges[claim.quantity]({ claim, analysis: counted, settings, limiter })
  return { claim, revision, ...underItsConditions(verdict, claim, analysis, counted) }
}

const decided = ({ outcome }: Finding) => outcome !== 'not tested' && outcome !== 'not shown'

/**
 * All claims of the unit against all revisions of its rig. The newest revision that decides stands: a smaller test on a
 * later one takes nothing back. What the others said is kept beside it.
 */
export function findAll(
  analyses: readonly Analysis[],
  settings: Pick<TrialSettings, 'hold' | 'limiters'>,
): ClaimFindings[] {
  const claims = analyses.at(-1)?.record.revision.unit.claims ?? []
  return claims.flatMap((claim) => {
    const findings = analyses.map((analysis) => judgeClaim(claim, analysis, settings))
    const tested = findings.filter((finding) => finding.outcome !== 'not tested')
    const standing = findings.filter(decided).at(-1) ?? tested.at(-1) ?? findings.at(-1)
    if (!standing) return []
    return [{ claim, standing, earlier: tested.filter((finding) => finding !== standing) }]
  })
}
