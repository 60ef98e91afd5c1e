import { toldApart } from './toldApart'

const one = (id: string, name: string, volts: string, savedAt = '2026-03-12T08:00:00.000Z') => ({
  id,
  name,
  savedAt,
  facts: ['sine', volts],
})
const apart = (...all: ReturnType<typeof one>[]) => toldApart(all, ({ facts }) => facts)

describe('documents of one name', () => {
  it('are told apart by what differs, and only they', () => {
    const found = apart(one('a', 'Ottrel', '24 V'), one('b', 'ottrel ', '48 V'), one('c', 'Pellam', '12 V'))
    expect([...found]).toEqual([
      ['a', '24 V'],
      ['b', '48 V'],
    ])
  })

  it('are told apart by when they were saved, where nothing else differs', () => {
    const found = apart(
      one('a', 'Ottrel', '24 V'),
      one('b', 'Ottrel', '24 V', '2026-04-02T08:00:00.000Z'),
      one('c', 'Ottrel', '48 V'),
    )
    expect(found.get('a')).toMatch(/^24 V, saved 12 Mar 2026/)
    expect(found.get('b')).toMatch(/^24 V, saved 2 Apr 2026/)
    expect(found.get('c')).toBe('48 V')
  })
})
