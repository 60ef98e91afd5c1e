import { isFigure, toldBy } from '@even-watt/core'
import { useTrial } from '../trials/useTrial'
import { Fig } from '../ui/Fig'

/** What the step that was just captured says, in figures to be read from where the meters are. */
export function CapturedResult({ step }: { readonly step: string }) {
  const { ladder } = useTrial().analysis
  const figures = ladder.steps.find((one) => one.step.id === step)
  if (!figures) return null
  const { of, efficiency, loss } = toldBy(ladder)
  const shown = [
    [of === 'unit' ? 'the unit' : 'unit and leads', efficiency(figures)],
    ['lost in it', loss(figures)],
    ['lost in the leads', figures.P_path],
    ['watts out', figures.P_C],
  ] as const
  return (
    <section aria-label="What it says" className="mb-4 border-b border-rule pb-2">
      <p className="text-lg">● Captured: {figures.load}</p>
      <dl className="flex flex-wrap gap-x-8">
        {shown.map(([words, figure]) =>
          isFigure(figure) ? (
            <div key={words}>
              <dt className="text-quiet">{words}</dt>
              <dd className="text-3xl">
                <Fig of={figure} withUnit />
              </dd>
            </div>
          ) : null,
        )}
      </dl>
    </section>
  )
}
