import type { Block, Schedule } from '@even-watt/contract'
import type { Stretch } from '@even-watt/core'
import fc from 'fast-check'
import { changeBlock, moveBlock, orderOf, removeBlock, withField } from './edit'
import { pictureOf, placeAt, rows } from './picture'
import { capital, percent, sayLength, sayStretch } from './words'

const id = (n: number) => `00000000-0000-7000-8000-${String(n).padStart(12, '0')}`
const minute = 60_000
const hour = 60 * minute

const stretch = (n: number, from: number, to: number, more: Partial<Stretch> = {}): Stretch => ({
  block: id(n),
  kind: 'ladder',
  part: undefined,
  from,
  to,
  pieces: [{ what: 'x', from, to, watts: 100, charge: [1, 0.9] }],
  state: 'planned',
  because: undefined,
  ...more,
})

describe('the picture of a schedule', () => {
  const placed = [
    stretch(1, 0, hour),
    stretch(2, hour, 2 * hour, {
      pieces: [{ what: 'off', from: hour, to: 2 * hour, watts: undefined, charge: [0.9, 0.9] }],
    }),
    stretch(3, 2 * hour, 10 * hour, { part: 'overnight' }),
    stretch(3, 20 * hour, 21 * hour),
  ]
  const picture = pictureOf(placed, 900)

  it('draws working time to scale, and nights no wider than any other gap', () => {
    const [first, second, night, last] = picture.stretches
    expect(first?.width).toBeCloseTo(second?.width ?? 0, 6)
    expect(last?.width).toBeCloseTo(first?.width ?? 0, 6)
    expect(night?.width).toBeLessThan((first?.width ?? 0) / 4)
    expect(picture.gaps).toHaveLength(2)
    expect((last?.x ?? 0) + (last?.width ?? 0)).toBeCloseTo(picture.right, 6)
  })

  it('goes from left to right only, whatever the stretches', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 20 }), fc.integer({ min: 1, max: 300 })), {
          minLength: 1,
          maxLength: 12,
        }),
        (list) => {
          let at = 0
          const laid = list.map(([gap, length], i) => {
            const from = at + gap * minute
            at = from + length * minute
            return stretch(i, from, at)
          })
          const drawn = pictureOf(laid, 390)
          const places = laid.flatMap(({ from, to }) => [drawn.x(from), drawn.x(to)])
          places.forEach((x, i) => {
            expect(x).toBeGreaterThanOrEqual((places[i - 1] ?? 0) - 1e-6)
            expect(x).toBeLessThanOrEqual(drawn.right + 1e-6)
          })
          drawn.ticks.slice(1).forEach((tick, i) => expect(tick).toBeGreaterThan(drawn.ticks[i] ?? 0))
        },
      ),
    )
  })

  it('has watts only while the unit is on, and the charge at its height', () => {
    expect(picture.watts).toHaveLength(3)
    expect(picture.mostWatts).toBe(100)
    const [, y] = picture.charge.split(' ')[0]?.split(',') ?? []
    expect(Number(y)).toBe(rows.charge.top)
    expect(pictureOf([], 900).stretches).toEqual([])
  })

  it('knows among which blocks a pointer is, parts not counted', () => {
    expect(placeAt(picture, picture.left)).toBe(0)
    expect(placeAt(picture, (picture.stretches[1]?.x ?? 0) + 1)).toBe(1)
    expect(placeAt(picture, picture.right)).toBe(3)
  })
})

describe('a schedule changed by hand', () => {
  const block = (n: number): Block => ({ id: id(n), kind: 'checks', fixed: false })
  const schedule = { blocks: [1, 2, 3].map(block) } as Schedule
  // As it lies: the rules put 3 first.
  const order = orderOf([
    stretch(3, 0, 1),
    stretch(3, 1, 2),
    stretch(1, 2, 3, { part: 'recharge' }),
    stretch(1, 3, 4),
    stretch(2, 4, 5),
  ])

  it('moves a block from where it lies, and fixes it there', () => {
    expect(order).toEqual([id(3), id(1), id(2)])
    expect(moveBlock(schedule, order, id(2), 0)?.blocks.map((one) => [one.id, one.fixed])).toEqual([
      [id(2), true],
      [id(3), false],
      [id(1), false],
    ])
    expect(moveBlock(schedule, order, id(3), -1)).toBeUndefined()
    expect(moveBlock(schedule, order, id(9), 1)).toBeUndefined()
    expect(moveBlock(schedule, order, id(3), 99)?.blocks.at(-1)?.id).toBe(id(3))
  })

  it('loses no block, and undoing the move gives the order back', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 2 }), fc.integer({ min: 0, max: 2 }), (from, to) => {
        const moved = moveBlock(schedule, order, order[from] ?? '', to)
        if (from === to) expect(moved).toBeUndefined()
        if (!moved) return
        const there = moved.blocks.map((one) => one.id)
        expect([...there].sort()).toEqual([...order].sort())
        expect(moveBlock(moved, there, order[from] ?? '', from)?.blocks.map((one) => one.id)).toEqual(order)
      }),
    )
  })

  it('sets, leaves out and takes away', () => {
    expect(withField(block(1), 'minutes', 20)).toEqual({ ...block(1), minutes: 20 })
    expect(withField({ ...block(1), minutes: 20 }, 'minutes', undefined)).toEqual(block(1))
    expect(changeBlock(schedule, id(2), (one) => ({ ...one, fixed: true })).blocks[1]?.fixed).toBe(true)
    expect(removeBlock(schedule, id(2)).blocks.map((one) => one.id)).toEqual([id(1), id(3)])
  })
})

describe('words', () => {
  it.each([
    [20_000, '20 s'],
    [61_000, '1 min'],
    [59.6 * minute, '60 min'],
    [2 * hour, '2 h'],
    [2.5 * hour, '2 h 30 min'],
    [72 * hour, '3 days'],
  ])('%p ms is %p', (ms, words) => expect(sayLength(ms)).toBe(words))
  it('name stretches', () => {
    expect(sayStretch(stretch(1, 0, 1))).toBe('Ladder')
    expect(sayStretch(stretch(1, 0, 1, { part: 'recharge', kind: 'motors' }))).toBe('Recharge, before motors')
    expect([capital(''), percent(0.255)]).toEqual(['', '26 %'])
  })
})
