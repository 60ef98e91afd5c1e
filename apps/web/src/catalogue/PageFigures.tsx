import { allOnPage, catalogue, togetherOnPage, type Analysis } from '@even-watt/core'
import { useMemo } from 'react'
import { AllHeld } from './AllHeld'
import { BesideTrials } from './BesideTrials'
import { SeriesTable } from './SeriesTable'
import { useOnRig } from './useOnRig'

interface Props {
  /** Its path below the trial. */
  readonly page: string
  readonly analysis: Analysis
  readonly analyses: readonly Analysis[]
}

/** At the foot of a page: what its figures come to together, and where they stand among other trials. */
export function PageFigures({ page, analysis, analyses }: Props) {
  const on = useOnRig(analyses, analysis)
  const together = useMemo(() => togetherOnPage(page, analysis), [page, analysis])
  return (
    <>
      {together.length > 0 && (
        <section aria-label="Taken together" className="mt-6">
          <h2>Taken together</h2>
          {together.map(({ of, series }) => (
            <SeriesTable key={of} of={of} series={series} />
          ))}
        </section>
      )}
      {catalogue.rigs.some((one) => one.page === page) && (
        <AllHeld
          key={`held ${page}`}
          words="The figures of this page, held against anything"
          of={() => allOnPage(page, on)}
        />
      )}
      <BesideTrials key={page} page={page} analysis={analysis} />
    </>
  )
}
