import { PortReading, type PortTest } from '@even-watt/contract'
import { CaptureForm } from '../trials/CaptureForm'
import { FieldGrid } from '../trials/FieldGrid'
import { readFields } from '../trials/fields'
import { useCaptureForm } from '../trials/useCaptureForm'
import { useTrial } from '../trials/useTrial'
import { TextField } from '../ui/form'
import { fieldsOfPort, nameOfPortTest } from './fields'
import { readLoaded, readOffers, readPoints, type Lines } from './lines'

const readers: Readonly<Record<string, (text: string) => Lines<unknown>>> = {
  points: readPoints,
  offers: readOffers,
  loaded: readLoaded,
}

/** One test of a port: its own fields, the needed ones first. */
export function PortForm({ test }: { readonly test: PortTest }) {
  const { analysis } = useTrial()
  const meter = analysis.record.revision.rig.assignments.find(({ quantity }) => quantity === 'V_port')?.meter
  const fields = fieldsOfPort[test]
  const state = useCaptureForm({
    what: `test of a port (${nameOfPortTest[test].toLowerCase()})`,
    start: {},
    schema: PortReading,
    read: (from) => {
      const listed = fields
        .filter(({ is }) => is === 'lines')
        .map(({ name }): [string, unknown] => {
          const lines = readers[name]?.(from.text(name) ?? '')
          if (!lines || 'why' in lines) {
            from.report(name, lines?.why)
            return [name, []]
          }
          return [name, lines.read]
        })
      return {
        test,
        ...readFields(fields, from),
        ...Object.fromEntries(listed),
        ...(test === 'together' ? { held: from.text('held') !== 'no' } : {}),
        ...(test === 'load' && meter ? { meter } : {}),
        note: from.text('note'),
      }
    },
    entry: (reading) => ({ kind: 'port', reading }),
    // The next sweep is likely of the same bench.
    next: (reading) => ({
      lead: reading.test === 'load' && reading.lead !== undefined ? String(reading.lead * 1000) : '',
    }),
  })
  return (
    <CaptureForm title={nameOfPortTest[test]} state={state} className="mt-2">
      <FieldGrid fields={fields} state={state}>
        <TextField label="Note" {...state.field('note')} className="col-span-2" />
      </FieldGrid>
      {test === 'load' && (
        <p className="text-quiet mt-1 max-w-prose">
          Type a pair a line, or paste two columns. With the ohms of its lead the port and the cable are told
          apart; 0 is read at the port itself. Without them a slow fall of its volts decides nothing.
        </p>
      )}
    </CaptureForm>
  )
}
