import type { OwnRow } from '@even-watt/contract'
import {
  draftAnswer,
  isFigure,
  peakOf,
  hasFit,
  sayClaim,
  rowOnRig,
  sayFigure,
  sayRow,
  tellingRig,
  suitsOf,
  type Analysis,
} from '@even-watt/core'
import { OwnRowsChoice } from '../catalogue/OwnRowsChoice'
import { Verdict } from '../evidence/Verdict'
import { Picture } from '../photographs/Picture'
import { sayPhotograph } from '../photographs/sayPhotograph'
import { usePhotographs } from '../photographs/usePhotographs'
import { SuitsMark } from '../suits/SuitsMark'
import { useRules } from '../suits/useRules'
import { StageHead } from '../trials/StageHead'
import { useSaveSettings } from '../trials/useSaveSettings'
import { useTrial } from '../trials/useTrial'
import { shortDate } from '../ui/dates'
import { PaperChoice } from '../ui/PaperChoice'

/** A unit on one page: the answer, its promises, whom it suits, one picture. */
export function CardPage() {
  const state = useTrial()
  const { trial, view } = state
  const rules = useRules()
  const { save } = useSaveSettings()
  const own = trial.card ?? noRows
  const photographs = usePhotographs(state)
  const picture =
    photographs.find(({ reading }) => reading.shows === 'outside') ??
    photographs.find(({ reading }) => reading.shows === 'label') ??
    photographs[0]
  const analysis = tellingRig(view.analyses) ?? state.analysis
  const { unit } = analysis.record.revision
  const said = trial.answer?.said ?? draftAnswer(view, trial, rules).sentences
  return (
    <>
      <StageHead title="Card" revisions={false} />
      <PaperChoice />
      <OwnRowsChoice rows={own} what="a figure" onChange={(card) => void save({ card: [...card] })} />
      <article className="max-w-[820px] border border-ink p-5 print:max-w-none print:border-0 print:p-0">
        <header className="mb-3 grid gap-4 md:grid-cols-[1fr_16rem] print:grid-cols-[1fr_16rem]">
          <div>
            <h1 className="text-[1.8rem]">{unit.name}</h1>
            <p className="text-quiet">
              {[unit.kind, unit.revision && `revision ${unit.revision}`, unit.provenance?.how]
                .filter(Boolean)
                .join(', ')}
            </p>
            {said.map((sentence, i) => (
              <p key={i} className={i === 0 ? 'mt-2 text-[1.1rem] font-semibold' : 'mt-1'}>
                {sentence}
              </p>
            ))}
          </div>
          {picture && <Picture entry={picture} alt={sayPhotograph(picture)} className="max-h-56" />}
        </header>
        <Figures analysis={analysis} own={own} />
        <div className="grid gap-x-8 gap-y-3 md:grid-cols-2 print:grid-cols-2">
          <section>
            <h2>Promised, and found</h2>
            <ul>
              {view.findings.map(({ claim, standing }) => (
                <li key={claim.id} className="border-b border-rule py-0.5">
                  {claim.quantity} <span className="figures">{sayClaim(claim)}</span>
                  <br />
                  <Verdict outcome={standing.outcome} />
                </li>
              ))}
            </ul>
          </section>
          <section>
            <h2>Whom it suits</h2>
            <ul>
              {suitsOf(rules, { analysis, trial }, trial.overruled ?? []).map(({ name, says }) => (
                <li key={name} className="flex justify-between gap-3 border-b border-rule py-0.5">
                  {name} <SuitsMark says={says} />
                </li>
              ))}
            </ul>
          </section>
        </div>
        <p className="text-quiet mt-3 text-[0.85rem]">
          Tested by {trial.by}, from {shortDate(trial.startedAt)}. How it was read, with which meters and how
          well they are known, stands in the report.
        </p>
      </article>
    </>
  )
}

const noRows: readonly OwnRow[] = []

interface FiguresProps {
  readonly analysis: Analysis
  /** Figures of the tester’s own choice. */
  readonly own: readonly OwnRow[]
}

function Figures({ analysis, own }: FiguresProps) {
  const { noLoad, ladder } = analysis
  const { P_idle } = noLoad.on
  const peak = hasFit(ladder.unitFit) ? peakOf(ladder.unitFit) : undefined
  const carried = ladder.steps
    .flatMap(({ carried: was, P_C }) => (was && isFigure(P_C) ? [P_C] : []))
    .sort((a, b) => b.x.value - a.x.value)[0]
  const figures = [
    ...(isFigure(P_idle) ? [['idle', sayFigure(P_idle)] as const] : []),
    ...(carried ? [['most that was carried', sayFigure(carried)] as const] : []),
    ...(peak
      ? [
          [
            'best efficiency',
            `${sayFigure({ x: peak.eta, unit: '%' })} at ${Math.round(peak.P.value)} W`,
          ] as const,
        ]
      : []),
    ...own.map((row) => {
      const figure = rowOnRig(row, { analysis })
      return [sayRow(row), isFigure(figure) ? sayFigure(figure) : 'not known'] as const
    }),
  ]
  return (
    <dl className="mb-3 flex flex-wrap gap-x-10 gap-y-1">
      {figures.map(([words, figure]) => (
        <div key={words}>
          <dt className="text-quiet text-[0.85rem]">{words}</dt>
          <dd className="figures text-[1.2rem] font-bold">{figure}</dd>
        </div>
      ))}
    </dl>
  )
}
