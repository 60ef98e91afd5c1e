import { readingsOf } from '@even-watt/core'
import { answersOf } from '../logs/answers'
import { LogChart } from '../logs/LogChart'
import { namesOf } from '../logs/nameOf'
import { nameOfLog } from '../logs/words'
import type { ReportProps } from '../stage'
import { Section } from '../ui/Section'
import { NoiseList } from './NoisePage'
import { RunDowns } from './RunDowns'

export function ReportPart({ state: { trial }, analysis }: ReportProps) {
  const logs = analysis.logs.filter(({ entry, seconds }) => entry.reading.what !== 'charge' && seconds > 0)
  const heard = readingsOf(analysis.record, 'noise').length > 0
  if (!logs.length && !heard) return null
  const nameOf = namesOf(analysis.record.revision)
  return (
    <Section title="Endurance">
      <RunDowns analysis={analysis} eager />
      {logs.map((log) => (
        <div key={log.entry.id} className="mt-3">
          <h3 className="font-semibold">{nameOfLog(log)}</h3>
          {answersOf(log, analysis)
            .slice(log.entry.reading.what === 'run-down' ? 1 : 0)
            .map((sentence) => (
              <p key={sentence} className="max-w-4xl">
                {sentence}
              </p>
            ))}
          <LogChart log={log} title={`${trial.title}: ${nameOfLog(log)}`} nameOf={nameOf} eager />
        </div>
      ))}
      {heard && (
        <>
          <h3 className="mt-3 font-semibold">Noise</h3>
          <NoiseList analysis={analysis} />
        </>
      )}
    </Section>
  )
}
