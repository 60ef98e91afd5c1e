import { quantityData, setAsideOf, type Analysis } from '@even-watt/core'

/** What was read but decides nothing, with why, and what would help. */
export function SetAsideList({ analyses }: { analyses: readonly Analysis[] }) {
  const rigs = analyses.flatMap(({ record, evidence }) => {
    const values = setAsideOf(record, evidence.gate)
    return values.length ? [{ number: record.revision.number, values }] : []
  })
  if (!rigs.length) return null
  return (
    <section className="mt-5 max-w-[46rem] break-inside-avoid" aria-labelledby="set-aside">
      <h2 id="set-aside">Read, but decides nothing</h2>
      <ul>
        {rigs.flatMap(({ number, values }) =>
          values.map(({ quantity, meter, why, todo, readings }) => (
            <li key={`${number} ${quantity} ${meter} ${why}`} className="border-b border-rule py-1">
              <span className="font-semibold">{quantityData[quantity].words}</span>
              {meter && ` on ${meter}`}
              {analyses.length > 1 && `, rig ${number}`}
              {`, ${readings.length} ${readings.length === 1 ? 'reading' : 'readings'}: ${why} `}
              <span className="text-quiet">{todo}</span>
            </li>
          )),
        )}
      </ul>
    </section>
  )
}
