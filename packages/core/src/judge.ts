import type { Claim, ClaimQuantity, TrialSettings } from '@even-watt/contract'
import { conditionsOf } from './conditions'
import { isDecided, judged, wordsOf, type Asked, type Finding, type Promised, type Verdict } from './court'
import { sayVolts, underItsVolts } from './statedVolts'
import { allOf } from './subjects'
import type { Analysis } from './trials'

/** A claim with its finding on every revision that tested it; the last of them stands. */
export interface ClaimFindings {
  readonly claim: Claim
  readonly standing: Finding
  readonly earlier: readonly Finding[]
  /** Continuous power that states no time was counted after less than is usual: how long, s. */
  readonly continuousAfter?: number
}

/** s that continuous power is held for where neither label nor tester says (docs/method/findings.md). */
const usualHold = 600

const promises = allOf('promises')

/** What is known of promises of a kind: how they are stated, what they depend on, where they are decided. */
export const promiseOf = (quantity: ClaimQuantity): Promised => promises[quantity]

type Settings = Pick<TrialSettings, 'hold' | 'limiters'>

/** Judges one claim on one revision, under the input volts that it is stated for; its sentence is made at the end. */
function judgeClaim(claim: Claim, analysis: Analysis, settings: Settings): Finding {
  const promised = promiseOf(claim.quantity)
  const revision = analysis.record.revision.number
  const limiter = settings.limiters.find((set) => set.claim === claim.id && set.revision === revision)
  const counted = underItsVolts(claim, promised, analysis)
  const asked: Asked = { claim, analysis: counted, settings, limiter }
  const { verdict, legs } = judged(promised, asked)
  return {
    claim,
    revision,
    ...shownOf(verdict),
    ...wordsFor(
      { verdict, legs },
      promised,
      asked,
      claim.volts ? sayVolts(claim.volts, analysis, counted) : '',
    ),
    ...conditionsOf(verdict, promised, asked),
  }
}

const shownOf = ({ outcome, code, probability, by, figure, step }: Verdict) => ({
  outcome,
  code,
  ...(probability === undefined ? {} : { probability }),
  ...(by === undefined ? {} : { limiter: by }),
  ...(figure === undefined ? {} : { figure }),
  ...(step === undefined ? {} : { step }),
})

function wordsFor(
  { verdict, legs }: ReturnType<typeof judged>,
  promised: Promised,
  asked: Asked,
  volts: string,
): Pick<Finding, 'sentence' | 'wouldShow'> {
  const { sentence, ...would } = wordsOf(verdict, promised, asked)
  const [one, two] = legs ?? []
  const said =
    one && two
      ? `L1: ${wordsOf(one, promised, asked).sentence} L2: ${wordsOf(two, promised, asked).sentence}`
      : sentence
  return { sentence: [said, volts].filter(Boolean).join(' '), ...would }
}

/**
 * All claims of the unit against all revisions of its rig. The newest revision that decides stands: a smaller test on a
 * later one takes nothing back. What the others said is kept beside it.
 */
export function findAll(analyses: readonly Analysis[], settings: Settings): ClaimFindings[] {
  const claims = analyses.at(-1)?.record.revision.unit.claims ?? []
  return claims.flatMap((claim) => {
    const findings = analyses.map((analysis) => judgeClaim(claim, analysis, settings))
    const tested = findings.filter((finding) => finding.outcome !== 'not tested')
    const standing =
      findings.filter(({ outcome }) => isDecided(outcome)).at(-1) ?? tested.at(-1) ?? findings.at(-1)
    if (!standing) return []
    const short =
      claim.quantity === 'continuous power' && claim.duration === undefined && settings.hold < usualHold
    return [
      {
        claim,
        standing,
        earlier: tested.filter((finding) => finding !== standing),
        ...(short ? { continuousAfter: settings.hold } : {}),
      },
    ]
  })
}
