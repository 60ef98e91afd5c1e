import { formatNumber, say, shownCharges, type Analysis } from '@even-watt/core'
import { useMemo } from 'react'

const percent = (share: number) => formatNumber(100 * share, 0)

/** What the display says of the charge, beside what the bank's volts say. */
export function ShownCharges({ analysis }: { readonly analysis: Analysis }) {
  const all = useMemo(() => shownCharges(analysis), [analysis])
  if (!all.length) return null
  return (
    <section className="mt-4 max-w-3xl">
      <h2>Its charge against the volts</h2>
      <ul>
        {all.map(({ entry, shown, volts, atRest, agrees }) => (
          <li key={entry.id}>
            {agrees ? <span className="text-moss">● agrees</span> : <span className="text-ochre">▲ off</span>}{' '}
            It shows {shown.from === shown.to ? '' : `${percent(shown.from)} to `}
            {percent(shown.to)} %. At {say(volts, 'V', 4)} a bank of this kind holds {percent(atRest.low)} to{' '}
            {percent(atRest.high)} %.
          </li>
        ))}
      </ul>
    </section>
  )
}
