import { comparedMeters, type Analysis } from '@even-watt/core'
import { useMemo, useState } from 'react'
import { ComparedLines } from './ComparedLines'
import { SummedMetersTable } from './SummedMetersTable'

interface Props {
  readonly analysis: Analysis
  /** For a report: what agrees stands in the sums only. */
  readonly brief?: boolean
}

/** Two meters on one quantity, wherever that was read: pair by pair in a line, and where they disagree in full. */
export function TwoMetersTable({ analysis, brief = false }: Props) {
  const lines = useMemo(() => comparedMeters(analysis), [analysis])
  const [open, setOpen] = useState(false)
  if (!lines.length) return null
  const compared = lines.flatMap(({ E_n }) => E_n ?? [])
  const disagreeing = lines.filter(({ E_n }) => E_n !== undefined && E_n > 1)
  return (
    <section className="mt-4 max-w-6xl break-inside-avoid">
      <h2>Two meters on one quantity</h2>
      <p>
        {compared.length === 0
          ? 'Only one of the two may be believed here, so they are not compared.'
          : disagreeing.length === 0
            ? 'Where two meters read the same thing, they agree within their uncertainties.'
            : `They disagree in ${disagreeing.length} of ${compared.length} comparisons, beyond their uncertainties (E_n over 1).`}
      </p>
      {compared.length > 0 && <SummedMetersTable lines={lines} />}
      {disagreeing.length > 0 && <ComparedLines lines={disagreeing} />}
      {!brief && lines.length > disagreeing.length && (
        <details className="no-print mt-2" onToggle={({ currentTarget }) => setOpen(currentTarget.open)}>
          <summary>{lines.length === 1 ? 'The one comparison' : `All ${lines.length} comparisons`}</summary>
          {open && <ComparedLines lines={lines} />}
        </details>
      )}
    </section>
  )
}
