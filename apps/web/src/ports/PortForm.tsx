import { PortReading, testsOfPorts, type PortTest } from '@even-watt/contract'
import { badSize, gaugeOf } from '@even-watt/core'
import { TestForm } from '../benchTests/TestForm'
import { useTrial } from '../trials/useTrial'
import { readLoaded, readOffers, readPoints } from './lines'

const readers = { points: readPoints, offers: readOffers, loaded: readLoaded }

/** One test of a port. */
export function PortForm({ test }: { readonly test: PortTest }) {
  const { analysis } = useTrial()
  const meter = analysis.record.revision.rig.assignments.find(({ quantity }) => quantity === 'V_port')?.meter
  return (
    <TestForm
      tests={testsOfPorts}
      test={test}
      what="test of a port"
      schema={PortReading}
      entry={(reading) => ({ kind: 'port', reading })}
      readers={readers}
      apart={(from) => {
        if (test !== 'load') return {}
        const size = from.text('leadSize')
        if (size !== undefined && !gaugeOf(size)) from.report('leadSize', badSize)
        return meter ? { meter } : {}
      }}
      // The next sweep is likely of the same bench.
      next={(reading) => ({
        lead: reading.test === 'load' && reading.lead !== undefined ? String(reading.lead * 1000) : '',
      })}
      below={
        test === 'load' && (
          <p className="text-quiet mt-1 max-w-prose">
            Type a pair a line, or paste two columns. The ohms of its lead tell the port from the cable. 0
            means that it is read at the port itself. Without them a slow fall of its volts decides nothing.
          </p>
        )
      }
    />
  )
}
