import { useState } from 'react'
import { api } from '../api/api'
import { capture } from '../outbox/capture'
import { answer } from '../ui/answers'

/** Characters that an expectation has. */
const longest = 300

/** Trials that are offered: those worked on last. */
const mostTrials = 20

/** What a sheet comes to, written down in a trial as what is expected there. */
export function WriteDown({ words }: { readonly words: string }) {
  const { data } = api.useTrialsQuery({ by: 'lastAt', limit: mostTrials })
  const [chosen, setChosen] = useState('')
  const trials = data?.trials ?? []
  const trial = trials.find(({ id }) => id === chosen) ?? trials[0]
  if (!trial) return null
  const write = () => {
    const made = capture(trial.id, {
      revision: trial.revisions,
      kind: 'expectation',
      reading: { words: words.slice(0, longest) },
    })
    answer('faults' in made ? (made.faults[0]?.message ?? '') : `Written down as expected in ${trial.title}.`)
  }
  return (
    <form
      className="no-print mt-4 flex flex-wrap items-center gap-2"
      onSubmit={(event) => {
        event.preventDefault()
        write()
      }}
    >
      <label className="flex items-center gap-2">
        Expected in
        <select
          className="input w-auto max-w-80"
          value={trial.id}
          onChange={({ target }) => setChosen(target.value)}
        >
          {trials.map(({ id, title }) => (
            <option key={id} value={id}>
              {title}
            </option>
          ))}
        </select>
      </label>
      <button type="submit" className="action">
        Write it down
      </button>
    </form>
  )
}
