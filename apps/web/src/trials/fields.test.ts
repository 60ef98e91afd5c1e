import { choice, number, perhaps, readFields, startOf, words, type Field } from './fields'

const fields: Field[] = [
  words('load', 'Load'),
  number('charge', 'Charge', '%', { factor: 0.01 }),
  number('lead', 'Lead', 'mΩ', { factor: 0.001 }),
  choice('how', 'How', ['raised', 'ramp']),
  perhaps('leg', 'Leg', ['L1', 'L2']),
  { name: 'hunts', is: 'tick', label: 'It hunts' },
  { name: 'woke', is: 'yes or no', label: 'It woke', of: ['yes', 'no'] },
  { name: 'rode', is: 'yes or no', label: 'It', of: ['rode through', 'restarted'], optional: true },
  { name: 'points', is: 'lines', label: 'Points', example: '1 5', columns: { amps: 'A', volts: 'V' } },
]
const typed: Record<string, string | undefined> = {
  load: 'kettle',
  charge: '12.5',
  lead: '90',
  how: 'ramp',
  hunts: 'yes',
  woke: 'yes',
  rode: 'restarted',
  points: '1 5',
}
const from = {
  text: (name: string) => typed[name],
  number: (name: string) => (typed[name] === undefined ? undefined : Number(typed[name])),
}

describe('fields that are told by data', () => {
  it('begin with the first of each choice that must be made', () => {
    expect(startOf(fields)).toEqual({ how: 'raised', woke: 'yes' })
  })
  it('are read in SI, without the tail that fractions leave', () => {
    expect(readFields(fields, from)).toEqual({
      load: 'kettle',
      charge: 0.125,
      lead: 0.09,
      how: 'ramp',
      leg: undefined,
      hunts: true,
      woke: true,
      rode: false,
    })
  })
  it('leave what was not typed out', () => {
    const nothing = { text: () => undefined, number: () => undefined }
    expect(Object.values(readFields(fields, nothing)).every((value) => value === undefined)).toBe(true)
  })
})
