import type { ClaimFindings } from '@even-watt/core'
import { Verdict } from '../evidence/Verdict'

/** Promises that a page decides, each with its verdict and sentence. */
export const VerdictLines = ({ findings }: { readonly findings: readonly ClaimFindings[] }) =>
  findings.map(({ claim, standing }) => (
    <p key={claim.id} className="mb-1 max-w-4xl">
      <Verdict outcome={standing.outcome} /> {standing.sentence}
    </p>
  ))
