import type { PortTest } from '@even-watt/contract'
import { readingsOf } from '@even-watt/core'
import { useState } from 'react'
import { VerdictLines } from '../findings/VerdictLines'
import { BeginLog } from '../logs/BeginLog'
import { LogList } from '../logs/LogList'
import { OddityNotices } from '../oddities/OddityNotices'
import { StationRibbon } from '../station/StationRibbon'
import { StageHead } from '../trials/StageHead'
import { useOddities } from '../trials/useOddities'
import { useTrial } from '../trials/useTrial'
import { ChooseOne } from '../ui/ChooseOne'
import { nameOfPortTest } from './fields'
import { PortForm } from './PortForm'
import { PortList } from './PortList'

/** Sockets of direct current: their promises, every test in a sentence, and the next one. */
export function PortsPage() {
  const { analysis, view } = useTrial()
  const [test, setTest] = useState<PortTest>('load')
  const tests = readingsOf(analysis.record, 'port')
  const oddities = useOddities().filter(({ at }) => tests.some(({ id }) => id === at.entry))
  return (
    <>
      <StageHead />
      <StationRibbon analysis={analysis} />
      <VerdictLines findings={view.findings.filter(({ claim }) => claim.quantity === 'port')} />
      <OddityNotices oddities={oddities} />
      {tests.length === 0 && (
        <p className="mt-2 max-w-prose">
          No port is tested yet. Load one step by step and note amps and volts; the ohms of your lead tell the
          port from the cable.
        </p>
      )}
      <PortList analysis={analysis} editable />
      <section className="no-print mt-5">
        <h2>Test a port</h2>
        <ChooseOne
          label="What was tested"
          options={(Object.keys(nameOfPortTest) as PortTest[]).map(
            (one) => [one, nameOfPortTest[one]] as const,
          )}
          value={test}
          onChange={setTest}
        />
        <PortForm key={`${analysis.record.revision.number} ${test}`} test={test} />
      </section>
      <LogList analysis={analysis} kinds={['soak']} />
      <BeginLog kinds={['soak']} />
    </>
  )
}
