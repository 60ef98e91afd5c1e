import { writtenDemo } from '@even-watt/bench/written'
import fc from 'fast-check'
import { layOut, size, spotAt } from './drawing/drawing'
import { hungMeters } from './drawing/hung'
import {
  addElement,
  addInSeries,
  addString,
  blankRig,
  crossOver,
  moveElement,
  newElement,
  removeBattery,
  removeElement,
  type Sides,
} from './editor/edit'
import { rigToForm, type RigForm } from './editor/form'

let made = 0
const makeId = () => `id ${made++}`
const l24 = rigToForm(writtenDemo().rigs[0] as Parameters<typeof rigToForm>[0])
const names = (sides: Sides) => [
  sides.positive.map(({ name }) => name),
  sides.negative.map(({ name }) => name),
]
const sidesOf = ({ positive, negative }: RigForm): Sides => ({ positive, negative })

describe('building a rig', () => {
  it('adds, moves, crosses over and removes elements', () => {
    let sides: Sides = { positive: [], negative: [] }
    for (const kind of ['lug', 'fuse', 'cable'] as const) {
      const element = newElement(kind, 'positive', sides.positive, makeId())
      sides = addElement(sides, { side: 'positive', index: sides.positive.length }, element)
    }
    expect(names(sides)).toEqual([['positive lug', 'positive fuse', 'positive lead'], []])
    sides = moveElement(sides, { side: 'positive', index: 2 }, { side: 'positive', index: 0 })
    expect(names(sides)[0]).toEqual(['positive lead', 'positive lug', 'positive fuse'])
    const crossed = crossOver(sides, { side: 'positive', index: 1 })
    expect(names(crossed.sides)).toEqual([['positive lead', 'positive fuse'], ['positive lug']])
    expect(crossed.to).toEqual({ side: 'negative', index: 0 })
    expect(names(removeElement(crossed.sides, crossed.to))[1]).toEqual([])
  })

  it('names what is alike apart', () => {
    const first = newElement('lug', 'negative', [], makeId())
    expect(newElement('lug', 'negative', [first], makeId()).name).toBe('negative lug 2')
  })

  it('never loses or doubles an element, wherever it is moved', () => {
    const spot = fc.record({
      side: fc.constantFrom('positive' as const, 'negative' as const),
      index: fc.integer({ min: -3, max: 12 }),
    })
    fc.assert(
      fc.property(fc.array(fc.tuple(spot, spot), { maxLength: 20 }), (moves) => {
        const before = sidesOf(l24)
        const after = moves.reduce((sides, [from, to]) => moveElement(sides, from, to), before)
        const ids = ({ positive, negative }: Sides) => [...positive, ...negative].map(({ id }) => id).sort()
        expect(ids(after)).toEqual(ids(before))
      }),
    )
  })

  it('keeps links, leads and take-off in step with the strings', () => {
    let { bank } = blankRig(makeId)
    bank = addString(addString(bank, makeId), makeId)
    expect(bank.strings).toHaveLength(3)
    expect([bank.join.positive.length, bank.join.negative.length, bank.join.leads.length]).toEqual([2, 2, 3])
    expect(new Set(bank.strings.flat().map(({ name }) => name)).size).toBe(3)
    bank = { ...bank, join: { ...bank.join, negativeAt: '3' } }
    bank = removeBattery(bank, 2, 0)
    expect([
      bank.strings.length,
      bank.join.positive.length,
      bank.join.leads.length,
      bank.join.negativeAt,
    ]).toEqual([2, 1, 2, '2'])
    bank = addInSeries(bank, 0, makeId())
    expect(bank.strings[0]).toHaveLength(2)
    bank = removeBattery(removeBattery(bank, 0, 1), 1, 0)
    // The last battery of all stays.
    expect(removeBattery(bank, 0, 0)).toBe(bank)
  })
})

describe('the drawing', () => {
  it('stands in path order between bank and unit, at any width', () => {
    for (const available of [300, 390, 1080, 2400]) {
      const drawing = layOut(l24, available)
      expect(drawing.width).toBeGreaterThanOrEqual(available)
      for (const side of ['positive', 'negative'] as const) {
        const xs = drawing.elements.filter(({ spot }) => spot.side === side).map(({ x }) => x)
        expect(xs).toEqual([...xs].sort((a, b) => a - b))
        expect(Math.min(...xs)).toBeGreaterThan(drawing.from)
        expect(Math.max(...xs)).toBeLessThan(drawing.to)
      }
    }
  })

  it('drops an element back where it was taken', () => {
    const drawing = layOut(l24, 1080)
    for (const { x, y, spot } of drawing.elements) expect(spotAt(drawing, x, y)).toEqual(spot)
    expect(spotAt(drawing, -50, size.band.negative)).toEqual({ side: 'negative', index: 0 })
  })

  it('shows sixteen batteries side by side, an open link and where the leads are taken off', () => {
    let rig = blankRig(makeId)
    for (let i = 0; i < 15; i++) rig = { ...rig, bank: addString(rig.bank, makeId) }
    rig.bank.join.positive[4] = 'open'
    rig.bank.join.negativeAt = '16'
    const drawing = layOut(rig, 1080)
    expect(drawing.batteries).toHaveLength(16)
    expect(drawing.gaps).toHaveLength(1)
    expect(drawing.takeOff.negative).toBeGreaterThan(drawing.takeOff.positive)
    const lefts = drawing.batteries.map(({ x, width }) => [x, x + width] as const)
    for (const [i, [, right]] of lefts.entries())
      expect(right).toBeLessThanOrEqual(lefts[i + 1]?.[0] ?? Infinity)
  })

  it('hangs meters on taps and on the conductors they clamp', () => {
    const meters = [{ id: 'm', name: 'Clamp' }]
    const hung = hungMeters(
      {
        ...l24,
        assignments: [
          { quantity: 'V_A', meter: 'm', on: '' },
          { quantity: 'I', meter: 'm', on: 'x' },
          { quantity: 'V_B', meter: 'gone', on: '' },
        ],
      },
      meters,
    )
    expect(hung.A).toEqual(['V_A Clamp'])
    expect(hung.B).toEqual(['I Clamp'])
    expect(hung.on.get('x')).toBe('I Clamp')
  })
})
