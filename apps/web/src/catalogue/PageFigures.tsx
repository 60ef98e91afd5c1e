import { togetherOnPage, type Analysis } from '@even-watt/core'
import { useMemo } from 'react'
import { BesideTrials } from './BesideTrials'
import { SeriesTable } from './SeriesTable'

interface Props {
  /** Its path below the trial. */
  readonly page: string
  readonly analysis: Analysis
}

/** At the foot of a page: what its figures come to together, and where they stand among other trials. */
export function PageFigures({ page, analysis }: Props) {
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
      <BesideTrials key={page} page={page} analysis={analysis} />
    </>
  )
}
