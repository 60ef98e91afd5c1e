import { coverage, statedOfTrial } from '@even-watt/core'
import { Suspense, useMemo, useRef } from 'react'
import { MetersUsed } from '../meters/MetersUsed'
import { PublishPart } from '../publish/PublishPart'
import type { ReportPlace, ReportProps } from '../stage'
import { useStages } from '../trials/stageContext'
import { useTrial } from '../trials/useTrial'
import { shortDate } from '../ui/dates'
import { PaperChoice } from '../ui/PaperChoice'
import { Section } from '../ui/Section'
import { Withdrawn } from './Withdrawn'

/** The whole trial to print: each stage brings its part; findings stand first, cautions last. */
export function ReportPage() {
  const state = useTrial()
  const { trial, view, unsent, entries } = state
  const newest = view.analyses.at(-1)
  const page = useRef<HTMLElement>(null)
  const published = useMemo(
    () => ({
      kind: 'trial' as const,
      of: trial.id,
      title: trial.title,
      stated: statedOfTrial(view, trial.answer?.said),
    }),
    [trial, view],
  )
  if (!newest) return null
  const notYet = unsent.size
    ? 'Some of its readings have not reached the server: publish when they have.'
    : entries.length
      ? undefined
      : 'Nothing was read in this trial yet: there is nothing to publish.'
  return (
    <div className="mx-auto max-w-[900px] print:max-w-none">
      <PaperChoice />
      <article ref={page}>
        <header className="mb-4 border-b-2 border-ink pb-2">
          <h1>{trial.title}</h1>
          <p>
            Tested by {trial.by}, from {shortDate(trial.startedAt)}. {trial.purpose}
          </p>
        </header>
        <Suspense
          fallback={
            <p role="status" data-drawing>
              Drawing the report …
            </p>
          }
        >
          <Parts place="answer" state={state} analysis={newest} />
          <Parts place="unit" state={state} analysis={newest} />
          <Method />
          <MetersUsed revisions={trial.revisions} />
          {view.analyses.map((analysis) => (
            <section key={analysis.record.revision.number} className="mt-6">
              <h2 className="mb-2 border-b border-ink text-[1.15rem]">
                Rig {analysis.record.revision.number}: {analysis.record.revision.why}
              </h2>
              <Parts place="rig" state={state} analysis={analysis} />
            </section>
          ))}
          <Withdrawn state={state} />
          <Parts place="end" state={state} analysis={newest} />
        </Suspense>
      </article>
      <PublishPart published={published} page={page} notYet={notYet} />
    </div>
  )
}

function Parts({ place, ...props }: ReportProps & { place: ReportPlace }) {
  const stages = useStages()
  return stages.map(({ words, report }) =>
    report?.place === place ? <report.Part key={words} {...props} /> : null,
  )
}

const Method = () => (
  <Section title="Method">
    <p>
      V_A and V_B are read at the battery posts and at the unit’s DC terminals, V_C, I_C and P_C at the AC
      outlet. Efficiency of the unit is P_C/P_B, of the system P_C/P_A. Uncertainties are expanded, k ={' '}
      {coverage}: each meter’s specification is one common factor for each of its ranges, the rest is
      independent. Claims are judged by whether the result clears them by more than that.
    </p>
  </Section>
)
