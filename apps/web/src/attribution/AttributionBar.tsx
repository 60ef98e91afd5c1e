import { attributeStep, isFigure, type Analysis, type LostPart, type StepFigures, say } from '@even-watt/core'
import { useMemo } from 'react'
import { useShowWorking } from '../ui/working'

/** Below this share a part has no label of its own on the bar. */
const labelled = 0.09

const fill = (part: LostPart, culprit: boolean): string =>
  culprit && part.excess ? 'var(--madder)' : part.kind === 'bank' ? 'var(--copper)' : 'var(--plum)'

interface Props {
  readonly step: StepFigures
  readonly analysis: Analysis
  /** Leave the sentence out, where another says it. */
  readonly wordless?: boolean
}

/** What one step lost, split between bank, path and unit: one sentence, one bar, each part opening its working. */
export function AttributionBar({ step, analysis, wordless = false }: Props) {
  const show = useShowWorking()
  const { parts, culprit, sentence } = useMemo(
    () => attributeStep(step, analysis.supply, analysis.record.revision.rig),
    [step, analysis],
  )
  const shown = parts.filter(({ watts }) => watts.x.value > 0)
  const total = shown.reduce((sum, { watts }) => sum + watts.x.value, 0)
  if (shown.length < 2 || total <= 0) return null
  return (
    <section className="my-1" aria-label="Where the watts went" data-testid="attribution">
      {!wordless && <p>{sentence}</p>}
      <div className="mt-0.5 flex h-6 w-full gap-px">
        {shown.map((part) => {
          const share = part.watts.x.value / total
          return (
            <button
              key={part.name}
              type="button"
              className="text-on-band min-w-0 overflow-hidden px-1 text-left text-[0.8rem] whitespace-nowrap hover:opacity-80"
              style={{
                flexGrow: share,
                flexBasis: 0,
                minWidth: 2,
                background: fill(part, part === culprit),
                opacity: part.kind === 'unit' || part === culprit || part.kind === 'bank' ? 1 : 0.7,
              }}
              title={`${part.name}: ${say(part.watts.x.value, 'W')}`}
              aria-label={`${part.name}, ${say(part.watts.x.value, 'watts')}: show working`}
              onClick={() => isFigure(part.watts) && show(part.watts)}
            >
              {share > labelled && `${part.name} ${say(part.watts.x.value, 'W')}`}
            </button>
          )
        })}
      </div>
    </section>
  )
}
