import { readingsOf, type Analysis } from '@even-watt/core'
import { answersOf } from '../logs/answers'
import { LogChart } from '../logs/LogChart'
import { namesOf } from '../logs/nameOf'
import { nameOfLog } from '../logs/words'
import type { ReportProps } from '../stage'
import { Section } from '../ui/Section'
import { NoiseList } from './NoisePage'
import { RunDowns } from './RunDowns'

const runsIn = ({ logs }: Analysis) =>
  logs.filter(({ entry, seconds }) => entry.reading.what !== 'charge' && seconds > 0)

export function RunDownsPart({ analysis }: ReportProps) {
  if (!runsIn(analysis).some(({ entry }) => entry.reading.what === 'run-down')) return null
  return (
    <Section title="Run-downs">
      <RunDowns analysis={analysis} />
    </Section>
  )
}

/** Run-downs and soaks over their time, with what each says. */
export function LogsPart({ state: { trial }, analysis }: ReportProps) {
  const logs = runsIn(analysis)
  if (!logs.length) return null
  return (
    <Section title="Logs over time">
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
          <LogChart
            log={log}
            title={`${trial.title}: ${nameOfLog(log)}`}
            nameOf={namesOf(analysis.record.revision)}
          />
        </div>
      ))}
    </Section>
  )
}

export function NoisePart({ analysis }: ReportProps) {
  if (!readingsOf(analysis.record, 'noise').length) return null
  return (
    <Section title="Noise">
      <NoiseList analysis={analysis} />
    </Section>
  )
}
