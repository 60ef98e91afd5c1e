import { noiseDuring, runWords } from '@even-watt/core'
import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import { TwoMetersTable } from '../evidence/TwoMetersTable'
import { OddityNotices } from '../oddities/OddityNotices'
import { useNow } from '../schedule/useNow'
import { Ways } from '../schedule/Ways'
import { StageHead } from '../trials/StageHead'
import { useOddities } from '../trials/useOddities'
import { useTrial } from '../trials/useTrial'
import { clockTime, shortDate } from '../ui/dates'
import { answersOf } from './answers'
import { CheckInForm } from './CheckInForm'
import { ImportLog } from './ImportLog'
import { LogAtArmsLength } from './LogAtArmsLength'
import { LogChart } from './LogChart'
import { LogFigures } from './LogFigures'
import { LogTable } from './LogTable'
import { namesOf } from './nameOf'
import { Predictions } from './Predictions'
import { useLog } from './useLog'
import { isRunning, nameOfLog } from './words'

/** One log: its answer, what it came to, its course, and what is read next. */
export function LogPage() {
  const { trial, analysis } = useTrial()
  const log = useLog()
  const now = useNow()
  const [large, setLarge] = useState(false)
  const noise = useMemo(() => (log ? noiseDuring(log, analysis) : []), [log, analysis])
  const oddities = useOddities().filter(({ at }) => at.entry === log?.entry.id)
  if (!log)
    return (
      <>
        <StageHead title="Log" />
        <p>
          This log is not on this rig.{' '}
          <Link className="plain-link" to={`/trials/${trial.id}/endurance`}>
            All logs
          </Link>
        </p>
      </>
    )
  const nameOf = namesOf(analysis.record.revision)
  const { note } = log.entry.reading
  return (
    <>
      <StageHead title={nameOfLog(log)}>
        {!log.ended && (
          <button type="button" className="action action-main" onClick={() => setLarge(true)}>
            At arm’s length
          </button>
        )}
      </StageHead>
      <p className="text-quiet">
        Begun {shortDate(log.entry.at)} {clockTime(log.entry.at)}
        {note && ` · ${note}`}
      </p>
      <div className="mt-2 grid gap-x-8 gap-y-3 lg:grid-cols-[3fr_2fr]">
        <div className="min-w-0">
          {answersOf(log, analysis).map((sentence) => (
            <p key={sentence} className="mb-1 max-w-4xl">
              {sentence}
            </p>
          ))}
          <p className="text-quiet mb-1 max-w-4xl">{runWords(log, analysis).join(' ')}</p>
          <Predictions log={log} />
        </div>
        <LogFigures log={log} />
      </div>
      <OddityNotices oddities={oddities} />
      {(log.series.length > 0 || noise.length > 0) && (
        <div className="mt-3">
          <LogChart log={log} title={nameOfLog(log)} nameOf={nameOf} noise={noise} />
        </div>
      )}
      {isRunning(log, now) && <Ways />}
      {log.ended ? (
        <details className="no-print mt-3">
          <summary>After its end: fan and cooling</summary>
          <CheckInForm key={log.entry.id} log={log} />
        </details>
      ) : (
        <CheckInForm key={log.entry.id} log={log} />
      )}
      <LogTable log={log} nameOf={nameOf} editable />
      <TwoMetersTable analysis={analysis} />
      <ImportLog log={log} />
      {large && <LogAtArmsLength log={log} onClose={() => setLarge(false)} />}
    </>
  )
}
