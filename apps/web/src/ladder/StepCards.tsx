import {
  headOf,
  isFigure,
  readingsOf,
  sayChosen,
  toldBy,
  type Analysis,
  type Derived,
  type StepFigures,
} from '@even-watt/core'
import { Struck } from '../trials/Struck'
import { useTrial } from '../trials/useTrial'
import { Fig } from '../ui/Fig'
import { columns, placeWords } from './columns'
import { readIdle, type GridProps } from './gridProps'
import { bestStep } from './bestStep'
import { stepLabel } from './stepLabel'

/** Readings in the order they were taken on a window that has no room for columns: a card a step, what it tells first. */
export function StepCards({
  analysis,
  rated,
  chosen,
  oddSteps,
  unsentSteps,
  own,
  onChoose,
  onIdle,
}: GridProps) {
  const { recorded, steps } = analysis.ladder
  const { noLoad } = analysis
  const best = bestStep(steps)
  const { efficiency } = toldBy(analysis.ladder)
  return (
    <ol aria-label="Ladder">
      <li className="flex flex-wrap items-center justify-between gap-x-3 border-b border-rule py-2">
        idle, nothing connected {isFigure(noLoad.on.P_idle) && <Fig of={noLoad.on.P_idle} withUnit marked />}
        <button type="button" className="plain-link" onClick={onIdle}>
          {readIdle(readingsOf(analysis.record, 'no load').length)}
        </button>
      </li>
      {recorded.map((step) => {
        const i = steps.findIndex((one) => one.step.id === step.id)
        const figures = steps[i]
        if (!figures) return <StruckCard key={step.id} step={step} />
        const isChosen = step.id === chosen
        return (
          <li
            key={step.id}
            data-step={step.id}
            className={`border-b py-2 [contain-intrinsic-size:auto_12rem] [content-visibility:auto] ${isChosen ? 'bg-chosen border-ink shadow-[inset_3px_0_var(--ink)] pl-2' : 'border-rule'}`}
          >
            <div className="flex items-center justify-between gap-3">
              <button
                type="button"
                className="min-w-0 flex-1 text-left font-semibold break-words"
                aria-pressed={isChosen}
                aria-label={`Choose step ${stepLabel(figures, rated, i)}`}
                onClick={() => onChoose(step.id)}
              >
                <span className="figures">{stepLabel(figures, rated, i)}</span> · {figures.load}
                {step.readings.length > 1 && <span className="text-quiet"> ×{step.readings.length}</span>}
              </button>
              <span className="text-[1.3rem]">
                {step.id === best && (
                  <span
                    className="text-[0.7em]"
                    title="highest efficiency so far"
                    aria-label="highest so far"
                  >
                    ◆{' '}
                  </span>
                )}
                <Fig of={efficiency(figures)} withUnit marked />
              </span>
            </div>
            {oddSteps.has(step.id) && <p className="text-ochre">△ something is odd here</p>}
            {unsentSteps.has(step.id) && <p className="text-ochre">▲ not sent yet</p>}
            {own.broken.has(step.id) && <p className="text-madder">■ {own.broken.get(step.id)}</p>}
            <CardFigures figures={figures} besides={efficiency(figures)} own={own} />
          </li>
        )
      })}
    </ol>
  )
}

interface CardProps extends Pick<GridProps, 'own'> {
  readonly figures: StepFigures
  /** What the head of the card tells already. */
  readonly besides: Derived
}

/** What is known of the step, each figure under the place and unit of its column. */
function CardFigures({ figures, besides, own }: CardProps) {
  const known = [
    ...columns.map((column) => ({
      key: column.key,
      head: `${placeWords[column.place]}, ${column.head}`,
      figure: column.figure(figures),
      bare: column.bare ?? true,
    })),
    ...own.of(figures).flatMap((figure, i) => {
      const chosen = own.columns[i]
      return chosen
        ? [{ key: sayChosen(chosen), head: headOf(chosen).join(' '), figure, bare: 2 as const }]
        : []
    }),
  ].filter(({ figure }) => isFigure(figure) && figure !== besides)
  return (
    <dl className="grid grid-cols-3 gap-x-3">
      {known.map(({ key, head, figure, bare }) => (
        <div key={key} className="relative min-h-[40px]">
          <dt className="text-quiet text-[0.8rem]">{head}</dt>
          <dd className="[&>button]:min-h-0 [&>button]:after:absolute [&>button]:after:inset-0">
            <Fig of={figure} bare={bare} marked />
          </dd>
        </div>
      ))}
    </dl>
  )
}

/** A step of which every reading was taken back: it stays in its place, and can be had back. */
function StruckCard({ step }: { readonly step: Analysis['ladder']['recorded'][number] }) {
  const { view } = useTrial()
  const last = step.struck.at(-1)
  if (!last) return null
  return (
    <li className="border-b border-rule py-2">
      <s className="opacity-70">{last.reading.load}</s>{' '}
      <Struck entry={last.id} why={view.record.struckWhy.get(last.id) ?? ''} what={last.reading.load} />
    </li>
  )
}
