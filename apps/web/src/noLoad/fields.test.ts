import { fieldsOf } from './fields'

describe('fields without load', () => {
  it('are one for each meter that is hung up, and one for what no meter reads', () => {
    const assignments = [
      { quantity: 'V_B', meter: 'a' },
      { quantity: 'V_B', meter: 'b' },
      { quantity: 'I', meter: 'clamp' },
      { quantity: 'idle I', meter: 'series' },
    ] as const
    expect(fieldsOf({ assignments: [...assignments] }).map(({ key, meter }) => [key, meter])).toEqual([
      ['V_A', undefined],
      ['V_B', 'a'],
      ['V_B b', 'b'],
      ['idle I', 'series'],
      ['V_C', undefined],
      ['f', undefined],
      ['THD', undefined],
    ])
    const withoutSeries = fieldsOf({ assignments: assignments.slice(0, 3) })
    expect(withoutSeries.find(({ quantity }) => quantity === 'I')?.meter).toBe('clamp')
  })
})
