import type { LoadUse } from '@even-watt/contract'
import { say, type Shelf } from '@even-watt/core'
import { useState } from 'react'

interface Props {
  readonly shelf: Shelf
  /** What is on to begin with. */
  readonly uses: readonly LoadUse[]
  readonly outlets: number
  /** W that a set would take. */
  readonly powerOf: (uses: readonly LoadUse[]) => number
  readonly done: string
  readonly onDone: (uses: readonly LoadUse[]) => void
}

/** A set of loads put together by hand, with what it would take said at once. */
export function ByHand({ shelf, uses, outlets, powerOf, done, onDone }: Props) {
  const [chosen, setChosen] = useState<ReadonlyMap<string, string>>(
    () => new Map(uses.map(({ load, setting }) => [load, setting])),
  )
  const set = [...chosen].map(([load, setting]) => ({ load, setting }))
  const put = (load: string, setting: string) => {
    const next = new Map(chosen)
    if (setting) next.set(load, setting)
    else next.delete(load)
    setChosen(next)
  }
  return (
    <fieldset>
      <legend className="font-semibold">By hand</legend>
      <ul className="grid grid-cols-2 gap-x-4 gap-y-1 md:grid-cols-4">
        {shelf.loads.map(({ id, name, settings }) => (
          <li key={id}>
            <label className="flex items-baseline justify-between gap-2">
              <span>{name}</span>
              <select
                className="input w-auto"
                value={chosen.get(id) ?? ''}
                onChange={(event) => put(id, event.target.value)}
              >
                <option value="">off</option>
                {settings.map((setting) => (
                  <option key={setting.id} value={setting.id}>
                    {setting.name || 'on'}
                  </option>
                ))}
              </select>
            </label>
          </li>
        ))}
      </ul>
      <p className="mt-1">
        Together <span className="figures">{say(powerOf(set), 'W', 4)}</span>
        {set.length > outlets && (
          <span className="text-madder">
            {' '}
            ■ {set.length} loads, and there are {outlets} outlets.
          </span>
        )}{' '}
        <button
          type="button"
          className="action ml-3"
          disabled={!set.length || set.length > outlets}
          onClick={() => onDone(set)}
        >
          {done}
        </button>
      </p>
    </fieldset>
  )
}
