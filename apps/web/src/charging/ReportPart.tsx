import { readingsOf, type Analysis } from '@even-watt/core'
import { LogChart } from '../logs/LogChart'
import { namesOf } from '../logs/nameOf'
import { nameOfLog } from '../logs/words'
import type { ReportProps } from '../stage'
import { Section } from '../ui/Section'
import { Charges } from './Charges'

const chargesIn = ({ logs }: Analysis) =>
  logs.filter(({ entry, seconds }) => entry.reading.what === 'charge' && seconds > 0)

export function ChargingPart({ analysis }: ReportProps) {
  const tried = readingsOf(analysis.record, 'charging').some(({ reading }) => reading.test === 'input')
  if (!chargesIn(analysis).length && !tried) return null
  return (
    <Section title="Charging">
      <Charges analysis={analysis} />
    </Section>
  )
}

/** Every charge that was followed, over its time. */
export function ChargeLogsPart({ state: { trial }, analysis }: ReportProps) {
  const logs = chargesIn(analysis)
  if (!logs.length) return null
  return (
    <Section title="Logs of charging">
      {logs.map((log) => (
        <div key={log.entry.id} className="mt-3">
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
