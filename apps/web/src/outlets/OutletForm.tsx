import { OutletReading, testsOfOutlets, type OutletTest } from '@even-watt/contract'
import { badSize, gaugeOf } from '@even-watt/core'
import { TestForm } from '../benchTests/TestForm'
import { readOutlets } from './lines'

/** One test behind the outlets. */
export const OutletForm = ({ test }: { readonly test: OutletTest }) => (
  <TestForm
    tests={testsOfOutlets}
    test={test}
    what="test of an outlet"
    schema={OutletReading}
    readers={{ read: readOutlets }}
    apart={(from) => {
      const size = from.text('size')
      if (size !== undefined && !gaugeOf(size)) from.report('size', badSize)
      return {}
    }}
    entry={(reading) => ({ kind: 'outlet', reading })}
  />
)
