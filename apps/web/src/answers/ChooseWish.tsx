import type { Question } from '@even-watt/contract'
import { inWords, wishes } from '@even-watt/core'

/** What is wanted of a trial, as it is chosen: one of the wishes, or a single question. */
export function questionsWanted(wanted: string): Question[] | undefined {
  const wish = Object.entries(wishes).find(([words]) => words === wanted)?.[1]
  const single = inWords.filter(({ id }) => id === wanted).map(({ id }) => id)
  const all = wish ?? single
  return all.length ? [...all] : undefined
}

interface Props {
  readonly value: string
  /** What stands for no choice at all. */
  readonly otherwise: string
  readonly onChange: (wanted: string) => void
}

/** What one wants of a trial: it asks those questions, and no other. */
export const ChooseWish = ({ value, otherwise, onChange }: Props) => (
  <div>
    <label htmlFor="wanted" className="text-quiet block text-[0.85rem] font-semibold">
      What you want to know
    </label>
    <select id="wanted" className="input" value={value} onChange={(event) => onChange(event.target.value)}>
      <option value="">{otherwise}</option>
      {Object.keys(wishes).map((wish) => (
        <option key={wish} value={wish}>
          {wish}
        </option>
      ))}
      <optgroup label="only this">
        {inWords.map(({ id, asks }) => (
          <option key={id} value={id}>
            {asks}
          </option>
        ))}
      </optgroup>
    </select>
  </div>
)
