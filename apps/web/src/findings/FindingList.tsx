import type { Limiter, Outcome } from '@even-watt/contract'
import { limiters } from '@even-watt/contract'
import { sayClaim, type Analysis, type ClaimFindings, type Finding } from '@even-watt/core'
import { useState } from 'react'
import { AttributionBar } from '../attribution/AttributionBar'
import { Strip } from '../photographs/Strip'
import { useSaveSettings } from '../trials/useSaveSettings'
import { useTrial, type TrialState } from '../trials/useTrial'
import { Fig } from '../ui/Fig'
import { ProblemNotice } from '../ui/Notice'
import { Verdict } from '../evidence/Verdict'

interface Props {
  readonly state: TrialState
  readonly editable?: boolean
}

/** Each claim with its verdict, and what earlier rigs said. */
export function FindingList({ state, editable = false }: Props) {
  const { view } = state
  if (!view.findings.length)
    return (
      <p>
        The unit makes no claim, so there is nothing to judge. Claims are added to the unit before a trial
        begins.
      </p>
    )
  return groups.map(({ words, outcomes }) => {
    const own = view.findings.filter(({ standing }) => outcomes.includes(standing.outcome))
    return (
      own.length > 0 && (
        <section key={words} aria-label={words}>
          <h3 className="mt-3 font-bold">
            {words} <span className="text-quiet figures font-normal">{own.length}</span>
          </h3>
          <Lines findings={own} state={state} editable={editable} />
        </section>
      )
    )
  })
}

/** Strengths first, then failings, then what is neither; within each as on the label. */
const groups: readonly { readonly words: string; readonly outcomes: readonly Outcome[] }[] = [
  { words: 'Kept', outcomes: ['met'] },
  { words: 'Broken', outcomes: ['not met'] },
  {
    words: 'Too near to be certain',
    outcomes: ['met, within uncertainty', 'not met, within uncertainty'],
  },
  { words: 'Not shown', outcomes: ['not shown'] },
  { words: 'Not tested', outcomes: ['not tested'] },
]

interface LinesProps extends Required<Props> {
  readonly findings: readonly ClaimFindings[]
}

function Lines({ findings, state, editable }: LinesProps) {
  return (
    <ul>
      {findings.map(({ claim, standing, earlier }) => (
        <li
          key={claim.id}
          className="grid gap-x-6 border-b border-rule py-2.5 break-inside-avoid md:grid-cols-[13rem_1fr]"
        >
          <div>
            <p className="font-semibold">{claim.quantity}</p>
            <p className="figures">{sayClaim(claim)}</p>
            <p className="text-quiet text-[0.85rem]">{claim.readWhere}</p>
            {editable && <Strip subject={{ about: claim.id }} of={`${claim.quantity}, ${sayClaim(claim)}`} />}
          </div>
          <div>
            <One finding={standing} state={state} editable={editable} />
            {standing.conditions !== undefined && (
              <p className="text-quiet max-w-[46rem] text-[0.85rem]">{standing.conditions}</p>
            )}
            {earlier.map((finding) => (
              <div key={finding.revision} className="text-quiet mt-1.5 border-l-2 border-rule pl-3">
                <One finding={finding} state={state} editable={editable} />
              </div>
            ))}
          </div>
        </li>
      ))}
    </ul>
  )
}

interface OneProps extends Required<Props> {
  readonly finding: Finding
}

function One({ finding, state, editable }: OneProps) {
  const { trial } = state
  const severalRigs = trial.revisions.length > 1
  return (
    <>
      <p>
        <Verdict outcome={finding.outcome} />
        {severalRigs && <span className="text-quiet"> on rig {finding.revision}</span>}
        {finding.figure && (
          <span className="ml-3">
            <Fig of={finding.figure} withUnit />
          </span>
        )}
      </p>
      <p className="max-w-[46rem]">{finding.sentence}</p>
      <Split finding={finding} analyses={state.view.analyses} />
      {editable && (finding.outcome === 'not shown' || finding.outcome === 'not tested') && (
        <SetLimiter finding={finding} />
      )}
    </>
  )
}

/** Where the watts of the step went that ended a test. */
function Split({ finding, analyses }: { finding: Finding; analyses: readonly Analysis[] }) {
  const analysis = analyses.find(({ record }) => record.revision.number === finding.revision)
  const step = analysis?.ladder.steps.find((one) => one.step.id === finding.step)
  return analysis && step ? (
    <div className="max-w-[46rem]">
      <AttributionBar step={step} analysis={analysis} wordless />
    </div>
  ) : null
}

/** What ended the test, and what would show the claim: set by hand. */
function SetLimiter({ finding }: { finding: Finding }) {
  const { trial } = useTrial()
  const { save, problem } = useSaveSettings()
  const set = trial.limiters.find(
    (candidate) => candidate.claim === finding.claim.id && candidate.revision === finding.revision,
  )
  const [wouldShow, setWouldShow] = useState(set?.wouldShow ?? '')
  const others = trial.limiters.filter((candidate) => candidate !== set)
  const write = (limiter: Limiter | '', words: string) =>
    void save({
      limiters:
        limiter === ''
          ? others
          : [
              ...others,
              {
                claim: finding.claim.id,
                revision: finding.revision,
                limiter,
                ...(words.trim() ? { wouldShow: words.trim() } : {}),
              },
            ],
    })
  return (
    <div className="no-print mt-1 flex flex-wrap items-center gap-3">
      <label className="flex items-center gap-1">
        <span className="text-quiet">limited by</span>
        <select
          className="input w-auto"
          value={set?.limiter ?? ''}
          onChange={(event) => write(event.target.value as Limiter | '', wouldShow)}
        >
          <option value="">
            {finding.limiter ? `as suggested: ${finding.limiter}` : 'nothing: it was not tried'}
          </option>
          {limiters.map((limiter) => (
            <option key={limiter} value={limiter}>
              {limiter}
            </option>
          ))}
        </select>
      </label>
      <label className="flex min-w-64 flex-1 items-center gap-1">
        <span className="text-quiet whitespace-nowrap">what would show it</span>
        <input
          className="input"
          value={wouldShow}
          maxLength={300}
          onChange={(event) => setWouldShow(event.target.value)}
          onBlur={() => {
            if (wouldShow.trim() !== (set?.wouldShow ?? ''))
              write(set?.limiter ?? finding.limiter ?? 'supply', wouldShow)
          }}
        />
      </label>
      {problem && <ProblemNotice problem={problem} />}
    </div>
  )
}
