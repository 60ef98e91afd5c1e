import type { Running } from '@even-watt/contract'
import { Link } from 'react-router'
import { api } from '../api/api'
import { useNow } from '../schedule/useNow'
import { clockTime } from '../ui/dates'

/** ms between askings: another page, or a phone, may have begun or ended one. */
const asked = 60_000

/** What runs on the bench, over all trials, and which look is due; nothing where nothing runs. */
export function RunningNow() {
  const { data: running = [] } = api.useRunningQuery(undefined, { pollingInterval: asked })
  const now = useNow()
  if (!running.length) return null
  return (
    <section className="mb-4" aria-label="Running now">
      <h2>Running now</h2>
      <ul>
        {running.map((one) => (
          <li key={one.log} className="flex flex-wrap gap-x-4 border-b border-rule py-1">
            <Link
              className="plain-link font-semibold"
              to={`/trials/${one.trial}/endurance/log?of=${one.log}&rig=${one.revision}`}
            >
              {one.title}
            </Link>
            <span>
              {one.what}
              {one.load && `, ${one.load}`}, begun {clockTime(one.begun)}
            </span>
            <Due one={one} now={now} />
          </li>
        ))}
      </ul>
    </section>
  )
}

function Due({ one: { due }, now }: { one: Running; now: number }) {
  const late = Math.floor((now - Date.parse(due)) / 60_000)
  return late >= 0 ? (
    <span className="text-ochre">
      ▲ a look was due at {clockTime(due)}
      {late > 0 && `, ${late} min ago`}
    </span>
  ) : (
    <span className="text-quiet">next look due at {clockTime(due)}</span>
  )
}
