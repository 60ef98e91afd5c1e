import { readingsOf } from '@even-watt/core'
import { LogChart } from '../logs/LogChart'
import { namesOf } from '../logs/nameOf'
import { nameOfLog } from '../logs/words'
import type { ReportProps } from '../stage'
import { Section } from '../ui/Section'
import { Charges } from './Charges'

export function ReportPart({ state: { trial }, analysis }: ReportProps) {
  const logs = analysis.logs.filter(({ entry, seconds }) => entry.reading.what === 'charge' && seconds > 0)
  if (
    !logs.length &&
    !readingsOf(analysis.record, 'charging').some(({ reading }) => reading.test === 'input')
  )
    return null
  return (
    <Section title="Charging">
      <Charges analysis={analysis} eager />
      {logs.map((log) => (
        <div key={log.entry.id} className="mt-3">
          <LogChart
            log={log}
            title={`${trial.title}: ${nameOfLog(log)}`}
            nameOf={namesOf(analysis.record.revision)}
            eager
          />
        </div>
      ))}
    </Section>
  )
}
