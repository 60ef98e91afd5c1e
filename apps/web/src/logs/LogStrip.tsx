import { Link } from 'react-router'
import { useNow } from '../schedule/useNow'
import { useTrial } from '../trials/useTrial'
import { isRunning, nameOfLog, sayMinutes } from './words'

/** s after which a look at a running log is due, where no schedule says it. */
const usualEvery = 600

/** Over every page: what runs, since when, and when it was last looked at. */
export function LogStrip() {
  const { trial, analysis } = useTrial()
  const now = useNow()
  const every = trial.schedule ? trial.schedule.checkEvery * 60 : usualEvery
  const running = analysis.logs.filter((log) => isRunning(log, now))
  if (!running.length) return null
  return (
    <div className="no-print mb-2 border-b border-rule" data-testid="log-strip">
      {running.map((log) => {
        const since = (now - Date.parse(log.entry.at)) / 1000
        const last = log.checkIns.at(-1)?.at ?? log.seconds
        const ago = since - last
        return (
          <p key={log.entry.id} className="flex flex-wrap items-baseline gap-x-3 py-1">
            <span>
              <strong>{nameOfLog(log)}</strong> runs since {sayMinutes(Math.max(0, since))}
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
        )
      })}
    </div>
  )
}
