import { testsOfPorts, type PortTest } from '@even-watt/contract'
import { BeginLog } from '../logs/BeginLog'
import { LogList } from '../logs/LogList'
import { TestsFrame } from '../benchTests/TestsFrame'
import { useTrial } from '../trials/useTrial'
import { PortForm } from './PortForm'
import { PortList } from './PortList'

/** Sockets of direct current: their promises, every test in a sentence, and the next one. */
export function PortsPage() {
  const { analysis } = useTrial()
  return (
    <TestsFrame<PortTest>
      kind="port"
      tests={testsOfPorts}
      at="ports"
      none="No port is tested yet. Load one step by step, and note amps and volts. The ohms of your lead tell the port from the cable."
      list={<PortList analysis={analysis} editable />}
      add="Test a port"
      form={(test) => <PortForm key={`${analysis.record.revision.number} ${test}`} test={test} />}
    >
      <LogList analysis={analysis} kinds={['soak']} />
      <BeginLog kinds={['soak']} />
    </TestsFrame>
  )
}
