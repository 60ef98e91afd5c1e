import { authority, claimValue, coverage, type Analysis, readingsOf } from '@even-watt/core'
import { AgainstBefore } from '../compare/AgainstBefore'
import { FindingList } from '../findings/FindingsPage'
import { labelOf } from '../ladder/StepGrid'
import { CurveFigures } from '../ladder/CurveFigures'
import { LadderCharts } from '../ladder/LadderCharts'
import { AttemptTable } from '../motors/MotorsPage'
import { IdleFigures } from '../noLoad/NoLoadPage'
import { RigFacts, RigPicture } from '../rigs/RigStagePage'
import { SurveyTable } from '../rigs/SurveyPage'
import { CameTrue } from '../rigs/WhatIfPage'
import { LoadTestTable } from '../supply/LoadTestPage'
import { SupplyTable } from '../supply/SupplyPage'
import { RunRecord } from '../schedule/RunRecord'
import { useSafety } from '../safety/useSafety'
import { TrialContext, useTrial } from '../trials/useTrial'
import { shortDate } from '../trials/WorkOrder'
import { Fig } from '../ui/Fig'
import { PaperChoice } from '../ui/PaperChoice'
import { UnitFacts } from '../units/LookOverPage'

/** The whole trial to print: disclosure, method, tables, charts, findings, cautions. */
export function ReportPage() {
  const state = useTrial()
  const { trial, view } = state
  const safety = useSafety()
  const newest = trial.revisions.at(-1)
  const unit = newest?.unit
  if (!unit) return null
  return (
    <article className="mx-auto max-w-[900px] print:max-w-none">
      <PaperChoice />
      <header className="mb-4 border-b-2 border-ink pb-2">
        <h1>{trial.title}</h1>
        <p>
          Tested by {trial.by}, from {shortDate(trial.startedAt)}. {trial.purpose}
        </p>
      </header>
      <Section title="Findings">
        <FindingList />
      </Section>
      <Section title="The unit, and where it came from">
        <UnitFacts unit={unit} />
      </Section>
      <Section title="Method">
        <p>
          V_A and V_B are read at the battery posts and at the unit’s DC terminals, V_C, I_C and P_C at the AC
          outlet. Efficiency of the unit is P_C/P_B, of the system P_C/P_A. Uncertainties are expanded, k ={' '}
          {coverage}: each meter’s specification is one common factor for each of its ranges, the rest is
          independent. Claims are judged by whether the result clears them by more than that.
        </p>
      </Section>
      {view.analyses.map((analysis) => (
        <section key={analysis.record.revision.number} className="mt-6 print:break-before-page">
          <h2 className="mb-2 border-b border-ink text-[1.15rem]">
            Rig {analysis.record.revision.number}: {analysis.record.revision.why}
          </h2>
          <RigPicture analysis={analysis} />
          <RigFacts rig={analysis.record.revision.rig} meters={analysis.record.revision.meters} />
          <TrialContext value={{ ...state, analysis }}>
            <SupplySections analysis={analysis} />
          </TrialContext>
          <Section title="No load">
            {readingsOf(analysis.record, 'no load').length ? (
              <IdleFigures figures={analysis.noLoad.on} />
            ) : (
              <p>Not read on this rig.</p>
            )}
          </Section>
          <Section title="Ladder">
            <ReportTable analysis={analysis} />
          </Section>
          <TrialContext value={{ ...state, analysis }}>
            <AgainstBefore />
            <LadderCharts chosenStep={undefined} />
          </TrialContext>
          {analysis.ladder.steps.length > 0 && (
            <Section title="What the curve says">
              <CurveFigures analysis={analysis} rated={ratedOf(analysis)} duty={trial.duty} />
            </Section>
          )}
          <Section title="Motors">
            <AttemptTable analysis={analysis} />
          </Section>
        </section>
      ))}
      <Section title="How the day went">
        <RunRecord />
      </Section>
      <Section title="Cautions">
        <ul className="list-disc pl-5">
          {safety.cautions.map(({ name, sentence }) => (
            <li key={name}>
              {sentence}
              {safety.by.has(name) && (
                <span className="text-quiet"> Acknowledged: {safety.by.get(name)?.by}.</span>
              )}
            </li>
          ))}
        </ul>
        {safety.open.length > 0 && (
          <p className="text-ochre">
            ▲{' '}
            {safety.open.length === safety.cautions.length
              ? 'Make safe was skipped.'
              : `${safety.open.length} cautions were not acknowledged.`}
          </p>
        )}
        <p className="font-semibold">{authority}</p>
      </Section>
    </article>
  )
}

/** What was measured of the supply on one rig, and what was predicted of its change. */
function SupplySections({ analysis }: { analysis: Analysis }) {
  const { supply, record } = analysis
  const survey = supply.surveys.at(-1)
  return (
    <>
      <Section title="The supply">
        <SupplyTable supply={supply} />
        {supply.disagreements.map((sentence) => (
          <p key={sentence}>{sentence}</p>
        ))}
      </Section>
      {supply.loadTests.length > 0 && (
        <Section title="Load test">
          <LoadTestTable analysis={analysis} />
        </Section>
      )}
      {survey && (
        <Section title="Drop survey">
          <SurveyTable survey={survey} />
        </Section>
      )}
      {readingsOf(record, 'prediction').map((entry) => (
        <Section key={entry.id} title={`Predicted: ${entry.reading.words}`}>
          <CameTrue entry={entry} />
        </Section>
      ))}
    </>
  )
}

const ratedOf = (analysis: Analysis) => {
  const claim = analysis.record.revision.unit.claims.find(
    (candidate) => candidate.quantity === 'continuous power',
  )
  return claim && claimValue(claim)
}

function Section({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <section className="mt-4">
      <h2>{title}</h2>
      {children}
    </section>
  )
}

/** The ladder narrow enough for paper, with uncertainties where they decide. */
function ReportTable({ analysis }: { analysis: Analysis }) {
  if (!analysis.ladder.steps.length) return <p>No step on this rig.</p>
  const rated = ratedOf(analysis)
  const heads = [
    '%',
    'load',
    'V_A',
    'V_B',
    'I, A',
    'path, W',
    'V_C',
    'P_C, W',
    'loss, W',
    'η unit, %',
    'η system, %',
  ]
  return (
    <div className="overflow-x-auto">
      <table className="list-table text-[0.9rem]">
        <thead>
          <tr>
            {heads.map((head, i) => (
              <th key={head} className={i > 1 ? 'right' : ''}>
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {analysis.ladder.steps.map((step, i) => (
            <tr key={step.step.id}>
              <td className="figures">{labelOf(step, rated, i)}</td>
              <td>{step.load}</td>
              {[
                step.read.V_A,
                step.read.V_B,
                step.read.I,
                step.P_path,
                step.read.V_C,
                step.P_C,
                step.P_loss,
                step.eta_unit,
                step.eta_system,
              ].map((figure, k) => (
                <td key={k} className="figures right whitespace-nowrap">
                  <Fig of={figure} bare={k <= 6} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
