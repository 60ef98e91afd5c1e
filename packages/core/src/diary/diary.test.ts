import type { DiaryLine } from '@even-watt/contract'
import fc from 'fast-check'
import { growth } from '.'

const line = (on: string, value?: number, what: DiaryLine['what'] = 'cycles'): DiaryLine => ({
  id: `${on} ${value}`,
  on,
  what,
  words: 'read',
  ...(value === undefined ? {} : { value }),
})

describe('growth over the life of a unit', () => {
  const lines = [
    line('2026-03-01', undefined, 'note'),
    line('2026-03-11', 10),
    line('2026-05-10', 40),
    line('2026-04-10', 900, 'energy'),
  ]

  it('counts days from the first line of any kind, and a pace from first to last', () => {
    const { points, aDay, shrinks } = growth(lines, 'cycles')
    expect(points.map(({ days, value }) => [days, value])).toEqual([
      [10, 10],
      [70, 40],
    ])
    expect(aDay).toBeCloseTo(0.5, 12)
    expect(shrinks).toEqual([])
  })

  it('does not care in which order the lines were written', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray(lines, { minLength: lines.length }), (shuffled) => {
        expect(growth(shuffled, 'cycles')).toEqual(growth(lines, 'cycles'))
      }),
    )
  })

  it('tells a figure that shrank, and invents no pace from one day', () => {
    expect(growth([...lines, line('2026-06-01', 30)], 'cycles').shrinks).toEqual(['2026-06-01'])
    expect(growth([line('2026-03-11', 10), line('2026-03-11', 12)], 'cycles').aDay).toBeUndefined()
    expect(growth([], 'energy')).toEqual({ points: [], shrinks: [], aDay: undefined })
  })
})
