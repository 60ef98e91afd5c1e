import { lookSteps, nextLook, readingsOf } from '@even-watt/core'
import { Link } from 'react-router'
import { usePhotographs } from '../photographs/usePhotographs'
import { useTrial } from '../trials/useTrial'

const signs = { none: '○', part: '◐', whole: '●' } as const
const said = { none: 'not yet', part: 'in part', whole: 'done' } as const

/** The order of looking a unit over: what was looked at, and what comes next. */
export function LookGuide() {
  const state = useTrial()
  const photographs = usePhotographs(state)
  const { unit } = state.analysis.record.revision
  const steps = lookSteps({
    unit,
    photographs: photographs.map(({ reading }) => reading),
    opened: readingsOf(state.view.record, 'opened').length,
  })
  const next = nextLook(steps)
  return (
    <section className="no-print mb-4 border-b border-rule pb-2" aria-label="Order of looking over">
      <p>
        {next ? (
          <>
            <span className="font-semibold">Next:</span> {next.todo}{' '}
            {next.at === 'unit' ? (
              <Link className="plain-link" to={`/units/${unit.id}`}>
                Note it
              </Link>
            ) : (
              <a className="plain-link" href="#claims">
                To its claims
              </a>
            )}
          </>
        ) : (
          <span className="text-moss">● All is looked over.</span>
        )}
      </p>
      <ol className="text-quiet mt-1 flex flex-wrap gap-x-5 text-[0.9rem]">
        {steps.map((step) => (
          <li key={step.words}>
            <span aria-hidden>{signs[step.done]} </span>
            {step === next ? <strong>{step.words}</strong> : step.words}
            <span className="sr-only">
              : {step.optional && step.done === 'none' ? 'not opened' : said[step.done]}
            </span>
          </li>
        ))}
      </ol>
    </section>
  )
}
