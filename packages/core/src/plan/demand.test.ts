import type { StoredLoad } from '@even-watt/contract'
import { demandsOf } from './demand'

const loadOf = (name: string, kind: StoredLoad['kind'], watts: readonly number[], more = {}): StoredLoad => ({
  id: name,
  version: 1,
  savedAt: '2026-03-01T00:00:00.000Z',
  name,
  kind,
  volts: 230,
  settings: watts.map((one, i) => ({ id: `${name} ${i}`, name: `${one}`, watts: one })),
  loud: false,
  note: '',
  ...more,
})

describe('loads by what they demand', () => {
  const loads = [
    loadOf('kettle', 'element', [1800]),
    loadOf('plate', 'element', [500, 1300]),
    loadOf('drill', 'brush motor', [600]),
    loadOf('lamp driver', 'electronic', [40], { powerFactor: 0.99 }),
  ]

  it('stand the lightest first, each below, near or beyond the rating', () => {
    expect(demandsOf(loads, 230, 1400).map(({ watts, rating }) => [watts, rating?.stands])).toEqual([
      [40, 'below'],
      [500, 'below'],
      [600, 'below'],
      [1300, 'near'],
      [1800, 'beyond'],
    ])
  })

  it('say what spoils a measurement: a motor does, an element does not, nor what corrects its power factor', () => {
    const told = new Map(demandsOf(loads, 230, undefined).map(({ load, spoils }) => [load, spoils]))
    expect(told.get('drill')).toMatch(/wander/)
    expect(told.get('kettle')).toBeUndefined()
    expect(told.get('lamp driver')).toBeUndefined()
  })

  it('follow the volts of the outlet: an element takes a quarter at half of them', () => {
    expect(demandsOf([loadOf('kettle', 'element', [1800])], 115, 1400)[0]).toMatchObject({
      watts: 450,
      rating: { share: 450 / 1400 },
    })
  })
})
