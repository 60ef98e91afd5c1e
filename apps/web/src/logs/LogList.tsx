import type { LogKind } from '@even-watt/contract'
import { isFigure, ranFor, sayFigure, type Analysis, type Log } from '@even-watt/core'
import { Link } from 'react-router'
import { useTrial } from '../trials/useTrial'
import { clockTime } from '../ui/dates'
import { nameOfLog, sayMinutes } from './words'

interface Props {
  readonly analysis: Analysis
  readonly kinds: readonly LogKind[]
}

/** The logs of some kinds, each leading to its own page. */
export function LogList({ analysis, kinds }: Props) {
  const { trial } = useTrial()
  const logs = analysis.logs.filter(({ entry }) => kinds.includes(entry.reading.what))
  if (!logs.length) return null
  return (
    <ul className="mt-2 max-w-4xl">
      {logs.map((log) => (
        <li key={log.entry.id} className="flex flex-wrap items-baseline gap-x-4 border-b border-rule py-1">
          <Link
            className="plain-link font-semibold"
            to={`/trials/${trial.id}/endurance/log?of=${log.entry.id}&rig=${analysis.record.revision.number}`}
          >
            {nameOfLog(log)}
          </Link>
          <span className="text-quiet">
            {clockTime(log.entry.at)},{' '}
            {log.ended
              ? sayMinutes(ranFor(log))
              : log.seconds
                ? `${sayMinutes(log.seconds)} so far`
                : 'nothing read yet'}
          </span>
          <span className="text-quiet ml-auto">{sumOf(log)}</span>
        </li>
      ))}
    </ul>
  )
}

const sumOf = ({ energies }: Log): string =>
  [energies.E_C, energies.E_wall, energies.E_in, energies.E_B]
    .flatMap(({ figure }) => (isFigure(figure) ? sayFigure(figure) : []))
    .slice(0, 1)
    .join('')
