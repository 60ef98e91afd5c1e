import type { LadderPlanned, StoredLoad } from '@even-watt/contract'

interface ExcludedProps {
  readonly loads: readonly StoredLoad[]
  /** How many loads are made for another voltage. */
  readonly others: number
  readonly outlet: number
  readonly plan: LadderPlanned
  readonly onChange: (excluded: string[]) => void
}

/** Loads that may take part in the ladder; all but elements and lamps are left out until ticked. */
export function Excluded({ loads, others, outlet, plan, onChange }: ExcludedProps) {
  const out = new Set(plan.excluded)
  return (
    <details className="my-2">
      <summary className="font-semibold">
        {loads.length - loads.filter(({ id }) => out.has(id)).length} of {loads.length} loads may be used
      </summary>
      {others > 0 && (
        <p className="text-quiet">
          {others} more on the shelf {others === 1 ? 'is' : 'are'} made for another voltage than {outlet} V.
        </p>
      )}
      <ul className="columns-2 md:columns-4">
        {loads.map(({ id, name, kind }) => (
          <li key={id}>
            <label className="flex items-baseline gap-2">
              <input
                type="checkbox"
                checked={!out.has(id)}
                onChange={() =>
                  onChange(out.has(id) ? plan.excluded.filter((one) => one !== id) : [...plan.excluded, id])
                }
              />
              <span>
                {name} <span className="text-quiet text-[0.85rem]">{kind}</span>
              </span>
            </label>
          </li>
        ))}
      </ul>
    </details>
  )
}
