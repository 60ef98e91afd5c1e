import { heatOf, reachedOf, type Log } from '@even-watt/core'
import { useMemo } from 'react'
import { Link } from 'react-router'
import { useNow } from '../schedule/useNow'
import { useRinging } from '../schedule/useRinging'
import { useTrial } from '../trials/useTrial'
import { isRunning, nameOfLog, sayMinutes } from './words'

/** s after which a look at a running log is due, where no schedule says it. */
const usualEvery = 600

/** Over every page: what runs, since when, when it was last looked at, and that it may end; the last two ring. */
export function LogStrip() {
  const { trial, analysis } = useTrial()
  const now = useNow()
  const every = trial.schedule ? trial.schedule.checkEvery * 60 : usualEvery
  const open = useMemo(
    () => analysis.logs.filter(({ ended }) => !ended).map((log) => ({ log, places: heatOf(log, analysis) })),
    [analysis],
  )
  const running = useMemo(
    () =>
      open
        .filter(({ log }) => isRunning(log, now))
        .map(({ log, places }) => {
          const since = (now - Date.parse(log.entry.at)) / 1000
          const ago = since - (log.checkIns.at(-1)?.at ?? log.seconds)
          return { log, since, ago, reached: reachedOf(log, places, since) }
        }),
    [open, now],
  )
  const ringing = useMemo(
    () =>
      running.flatMap(({ log, ago, reached }) => [
        ...(reached ? [due(log, reached.what, reached.sentence)] : []),
        ...(ago > every ? [due(log, `look ${log.checkIns.length}`, 'Time to look at it.')] : []),
      ]),
    [running, every],
  )
  useRinging(ringing, now)
  if (!running.length) return null
  return (
    <div className="no-print mb-2 border-b border-rule" data-testid="log-strip">
      {running.map(({ log, since, ago, reached }) => (
        <p key={log.entry.id} className="flex flex-wrap items-baseline gap-x-3 py-1">
          <span>
            <strong>{nameOfLog(log)}</strong> runs since {sayMinutes(Math.max(0, since))}
            {reached && <span className="text-moss"> · ● {reached.sentence}</span>}
            {ago > every ? (
              <span className="text-ochre"> · ▲ last looked at {sayMinutes(ago)} ago</span>
            ) : (
              <span className="text-quiet"> · next look in {sayMinutes(Math.max(0, every - ago))}</span>
            )}
          </span>
          <Link
            className="plain-link"
            to={`/trials/${trial.id}/endurance/log?of=${log.entry.id}&rig=${analysis.record.revision.number}`}
          >
            Check in
          </Link>
        </p>
      ))}
    </div>
  )
}

const due = (log: Log, what: string, body: string) => ({
  name: `${log.entry.id} ${what}`,
  title: nameOfLog(log),
  body,
})
