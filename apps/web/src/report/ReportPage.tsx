import type { PickedPart, ReportBlock } from '@even-watt/contract'
import { usualCoverage, statedOfTrial, type Analysis } from '@even-watt/core'
import { Suspense, useMemo, useRef } from 'react'
import { MetersUsed } from '../meters/MetersUsed'
import { Figures } from '../photographs/Figures'
import { usePhotographs } from '../photographs/usePhotographs'
import { PublishPart } from '../editions/PublishPart'
import type { ReportProps } from '../stage'
import { useStages } from '../trials/stageContext'
import { useTrial, type TrialState } from '../trials/useTrial'
import { useStage } from '../trials/stageContext'
import { StageTabs } from '../trials/StageTabs'
import { shortDate } from '../ui/dates'
import { fetched } from '../ui/fetched'
import { PaperChoice } from '../ui/PaperChoice'
import { Section } from '../ui/Section'
import { ComposePart } from './ComposePart'
import { EarlierRuns } from './EarlierRuns'
import { methodPart, metersPart, rigsPart, useReport, withdrawnPart } from './useReport'
import { Withdrawn } from './Withdrawn'

/** The trial to read, print and publish: each stage brings its part; unless it is composed anew findings stand first. */
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
  const composition = useReport(state)
  const stage = useStage()
  if (!newest) return null
  const shownNothing = !composition.blocks.some(({ shown, words }) => shown && words?.trim() !== '')
  const notYet = unsent.size
    ? 'Some of its readings have not reached the server: publish when they have.'
    : shownNothing
      ? 'No part of the report is chosen: there is nothing to publish.'
      : entries.length
        ? undefined
        : 'Nothing was read in this trial yet: there is nothing to publish.'
  return (
    <div className="mx-auto max-w-[900px] print:max-w-none">
      {stage && <StageTabs stage={stage} />}
      <PaperChoice />
      <ComposePart composition={composition} />
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
              Drawing the report … Printed now it would be empty.
            </p>
          }
        >
          {composition.blocks
            .filter(({ shown }) => shown)
            .map(({ key, words, picked }) =>
              words !== undefined ? (
                <OwnWords key={key} words={words} />
              ) : picked ? (
                <Picked key={key} picked={picked} state={state} />
              ) : (
                <Block key={key} name={key} state={state} newest={newest} inRigs={composition.inRigs} />
              ),
            )}
          {shownNothing && (
            <p className="no-print text-ochre">
              ▲ No part is chosen: nothing of this report would be read. Choose some under Compose it.
            </p>
          )}
        </Suspense>
      </article>
      <PublishPart published={published} page={page} notYet={notYet} />
    </div>
  )
}

interface BlockProps {
  readonly name: string
  readonly state: TrialState
  readonly newest: Analysis
  readonly inRigs: readonly ReportBlock[]
}

/** One part of the report by its name: of its own, of a stage, or every rig with the parts that stand in it. */
function Block({ name, state, newest, inRigs }: BlockProps) {
  if (name === methodPart) return <Method />
  if (name === metersPart) return <MetersUsed revisions={state.trial.revisions} />
  if (name === withdrawnPart) return <Withdrawn state={state} />
  if (name !== rigsPart) return <StagePart name={name} state={state} analysis={newest} />
  return state.view.analyses.map((analysis) => (
    <section key={analysis.record.revision.number} className="mt-6">
      <h2 className="mb-2 border-b border-ink text-[1.15rem]">
        Rig {analysis.record.revision.number}: {analysis.record.revision.why}
      </h2>
      {inRigs
        .filter(({ shown }) => shown)
        .map(({ key }) => (
          <StagePart key={key} name={key} state={state} analysis={analysis} />
        ))}
    </section>
  ))
}

function StagePart({ name, ...props }: ReportProps & { name: string }) {
  const part = useStages()
    .flatMap(({ report: parts = [] }) => parts)
    .find(({ words }) => words === name)
  return part ? <part.Part {...props} /> : null
}

const compared = fetched(async () => (await import('../comparisons/InReport')).InReport)

/** A photograph, a comparison or a part of one rig, where the tester put it; nothing where it was taken back since. */
function Picked({ picked, state }: { picked: PickedPart; state: TrialState }) {
  const photographs = usePhotographs(state)
  if ('photograph' in picked)
    return (
      <div className="mt-4">
        <Figures photographs={photographs.filter(({ id }) => id === picked.photograph)} />
      </div>
    )
  if ('runs' in picked) return <EarlierRuns trial={picked.runs} />
  if ('comparison' in picked) return <compared.Part id={picked.comparison} />
  const analysis = state.view.analyses.find(({ record }) => record.revision.number === picked.rig)
  if (!analysis) return null
  const { number, why } = analysis.record.revision
  return (
    <>
      {state.view.analyses.length > 1 && (
        <p className="text-quiet mt-4 -mb-3">
          Rig {number}: {why}
        </p>
      )}
      <StagePart name={picked.part} state={state} analysis={analysis} />
    </>
  )
}

const OwnWords = ({ words }: { words: string }) =>
  words
    .split(/\n\s*\n/)
    .filter((paragraph) => paragraph.trim())
    .map((paragraph, i) => (
      <p key={i} className="mt-3 max-w-[46rem] whitespace-pre-line">
        {paragraph.trim()}
      </p>
    ))

const Method = () => (
  <Section title="Method">
    <p>
      V_A and V_B are read at the battery posts and at the unit’s DC terminals, V_C, I_C and P_C at the AC
      outlet. Efficiency of the unit is P_C/P_B, of the system P_C/P_A. Uncertainties are expanded, k ={' '}
      {usualCoverage}, more where few repeats tell it: each meter’s specification is one common factor for
      each of its ranges, the rest is independent. Claims are judged by whether the result clears them by more
      than that.
    </p>
  </Section>
)
