import type { EntryOf } from '@even-watt/contract'
import fc from 'fast-check'
import { readLine, readLines, sayLine, sayNarrowed, worked } from '.'

const ids = () => {
  let next = 0
  return () => `id ${next++}`
}

describe('a line as it is typed', () => {
  it.each([
    ['negative terminal 8 N·m', 'negative terminal', 8],
    ['negative terminal, 8,5 Nm', 'negative terminal', 8.5],
    ['earth stud: 70 lb·in', 'earth stud', 7.908938031933169],
    ['busbar 6 lb-ft', 'busbar', 8.134907689976402],
    ['busbar 6 lb ft', 'busbar', 8.134907689976402],
  ])('%s asks for a torque', (typed, words, torque) => {
    const line = readLine(typed)
    expect(line.words).toBe(words)
    expect(line.torque).toBeCloseTo(torque, 9)
  })

  it.each(['breaker off', 'address switches 1 to 4', 'wait 20 min', '8 N·m', 'torque 0 Nm', 'set to 3 lb'])(
    '“%s” is words alone',
    (typed) => expect(readLine(typed)).toEqual({ words: typed }),
  )

  it('comes back as it would be typed', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('stud', 'post A', 'neutral bar'),
        fc.integer({ min: 1, max: 400 }),
        (words, N) => {
          const line = { words, torque: N / 4 }
          const again = readLine(sayLine(line))
          return again.words === words && Math.abs((again.torque ?? 0) - line.torque) < 1e-9
        },
      ),
    )
  })
})

describe('lines one under the other', () => {
  it('keep their ids where their words stay, wherever they move', () => {
    const before = readLines('one\n\ntwo 5 Nm\r\nthree', [], ids())
    expect(before.map(({ words }) => words)).toEqual(['one', 'two', 'three'])
    const newId = ids()
    const after = readLines('three\ntwo 6 Nm\nfour', before, () => `new ${newId()}`)
    expect(after.map(({ id }) => id)).toEqual(['id 2', 'id 1', 'new id 0'])
    expect(after[1]?.torque).toBe(6)
  })

  it('that are alike are told apart', () => {
    const twice = readLines('tighten\ntighten', [], ids())
    const again = readLines('tighten\ntighten', twice, () => 'new')
    expect(again.map(({ id }) => id)).toEqual(['id 0', 'id 1'])
  })
})

const list = { id: 'terminals', lines: readLines('post 8 Nm\nbreaker\nlink', [], ids()) }
let clock = 0
const checked = (
  line: number,
  found: EntryOf<'checked'>['reading']['found'],
  more: Partial<EntryOf<'checked'>['reading']> = {},
  revision = 1,
): EntryOf<'checked'> => ({
  id: `entry ${clock++}`,
  revision,
  at: new Date(clock * 1000).toISOString(),
  kind: 'checked',
  reading: { list: list.id, line: `id ${line}`, words: 'as it stood', found, ...more },
})

describe('a list that is worked', () => {
  it('names what is open, and what was found wrong by its last word', () => {
    const entries = [checked(1, 'wrong'), checked(2, 'wrong', { note: 'no volts' }), checked(1, 'done')]
    const state = worked(list, entries, 1)
    expect(state.open.map(({ words }) => words)).toEqual(['post'])
    expect(state.wrong.map(({ line }) => line.words)).toEqual(['link'])
  })

  it('narrows a fault down only as far as the lines before it were worked', () => {
    expect(sayNarrowed(worked(list, [checked(0, 'done')], 1))).toBeUndefined()
    const skipped = [checked(0, 'done'), checked(2, 'wrong', { note: 'no volts' })]
    expect(sayNarrowed(worked(list, skipped, 1))).toBe(
      'link: no volts. Not worked before it: breaker; the fault may lie there.',
    )
    expect(sayNarrowed(worked(list, [...skipped, checked(1, 'does not apply')], 1))).toMatch(
      /in order; look here first/,
    )
  })

  it('is open again on the next rig', () => {
    const entries = [checked(0, 'done', { torque: 8, applied: 8 }), checked(1, 'done'), checked(2, 'done')]
    expect(worked(list, entries, 1).open).toEqual([])
    expect(worked(list, entries, 2).open).toHaveLength(3)
  })

  it('ignores lines of other lists', () => {
    expect(worked(list, [checked(1, 'done', { list: 'another' })], 1).open).toHaveLength(3)
  })

  it.each([
    [8, undefined],
    [7.3, undefined],
    [8.8, undefined],
    [6, /less than the 8 N·m/],
    [12, /more than the 8 N·m/],
    [undefined, /not said/],
  ])('judges a torque of %p N·m where 8 is asked', (applied, sentence) => {
    const [first] = worked(
      list,
      [checked(0, 'done', { torque: 8, ...(applied ? { applied } : {}) })],
      1,
    ).lines
    if (sentence) expect(first?.odd).toMatch(sentence)
    else expect(first?.odd).toBeUndefined()
  })

  it('asks no torque of what was found wrong', () => {
    expect(worked(list, [checked(0, 'wrong', { torque: 8 })], 1).lines[0]?.odd).toBeUndefined()
  })
})
