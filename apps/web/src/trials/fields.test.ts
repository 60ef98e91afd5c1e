import { choice, lines, number, perhaps, readFields, startOf, tick, words } from './fields'

const fields = [
  words('load', 'Load'),
  number('charge', 'Charge', '%', { factor: 0.01 }),
  number('lead', 'Lead', 'mΩ', { factor: 0.001 }),
  choice('how', 'How', ['raised', 'ramp']),
  perhaps('leg', 'Leg', ['L1', 'L2']),
  tick('hunts', 'It hunts'),
  lines('points', 'Points', '1 5'),
]
const typed: Record<string, string | undefined> = {
  load: 'kettle',
  charge: '12.5',
  lead: '90',
  how: 'ramp',
  hunts: 'yes',
  points: '1 5',
}
const from = {
  text: (name: string) => typed[name],
  number: (name: string) => (typed[name] === undefined ? undefined : Number(typed[name])),
}

describe('fields that are told by data', () => {
  it('begin with the first of each choice that must be made', () => {
    expect(startOf(fields)).toEqual({ how: 'raised' })
  })
  it('are read in SI, without the tail that fractions leave', () => {
    expect(readFields(fields, from)).toEqual({
      load: 'kettle',
      charge: 0.125,
      lead: 0.09,
      how: 'ramp',
      leg: undefined,
      hunts: true,
    })
  })
  it('leave what was not typed out', () => {
    const nothing = { text: () => undefined, number: () => undefined }
    expect(Object.values(readFields(fields, nothing)).every((value) => value === undefined)).toBe(true)
  })
})
