import fc from 'fast-check'
import { chapterMarks, composed, isPut, moved } from '.'

const usual = ['findings', 'unit', 'method', 'rigs', 'cautions']
const keys = (blocks: readonly { key: string }[]) => blocks.map(({ key }) => key)

describe('a composed report', () => {
  it('is as usual until somebody composes it', () => {
    expect(keys(composed(usual))).toEqual(usual)
    expect(composed(usual).every(({ shown }) => shown)).toBe(true)
  })

  it('keeps the order that was chosen, and own words where they were put', () => {
    const chosen = [
      { key: 'cautions', shown: true },
      { key: 'own 1', shown: true, words: 'First be safe.' },
      { key: 'findings', shown: false },
    ]
    expect(keys(composed(usual, chosen))).toEqual(['cautions', 'own 1', 'findings', 'unit', 'method', 'rigs'])
    expect(composed(usual, chosen)[2]).toEqual({ key: 'findings', shown: false })
  })

  it('keeps what was picked, whatever it is called, and lets it be taken out', () => {
    const picked = { key: 'a', shown: true, picked: { part: 'Ladder', rig: 2 } }
    const photograph = { key: 'b', shown: true, picked: { photograph: crypto.randomUUID() } }
    const chosen = [{ key: 'cautions', shown: true }, picked, { key: 'findings', shown: true }, photograph]
    expect(composed(usual, chosen).slice(0, 3)).toEqual(chosen.slice(0, 3))
    expect(composed(usual, chosen).at(-1)).toEqual(photograph)
    expect([picked, photograph, { key: 'unit', shown: true }].map(isPut)).toEqual([true, true, false])
  })

  it('drops what is no more and what stands twice', () => {
    const chosen = ['gone', 'unit', 'unit', 'findings'].map((key) => ({ key, shown: true }))
    expect(keys(composed(usual, chosen))).toEqual(['unit', 'method', 'rigs', 'cautions', 'findings'])
  })

  it('has every part once, whatever was chosen, and composing it again changes nothing', () => {
    const block = fc.record({ key: fc.constantFrom(...usual, 'gone', 'else'), shown: fc.boolean() })
    fc.assert(
      fc.property(fc.array(block, { maxLength: 12 }), (chosen) => {
        const once = composed(usual, chosen)
        expect([...keys(once)].sort()).toEqual([...usual].sort())
        expect(composed(usual, once)).toEqual(once)
      }),
    )
  })

  it('moves a part, to the ends at most', () => {
    const blocks = composed(usual)
    expect(keys(moved(blocks, 'rigs', 0))).toEqual(['rigs', 'findings', 'unit', 'method', 'cautions'])
    expect(keys(moved(blocks, 'findings', 99)).at(-1)).toBe('findings')
    expect(keys(moved(blocks, 'findings', -3))).toEqual(usual)
    expect(moved(blocks, 'nobody', 2)).toEqual(blocks)
  })
})

describe('chapter marks', () => {
  const at = (time: string) => `2026-03-12T${time}.000Z`
  const events = [
    { at: at('08:59:00'), words: 'before the film' },
    { at: at('09:01:05'), words: 'idle draw' },
    { at: at('09:01:09'), words: 'idle draw again' },
    { at: at('10:04:05'), words: '1434 W' },
    { at: at('11:30:00'), words: 'after the film' },
  ]
  it('count from the camera’s start, the first at 00:00, what is close together once', () => {
    expect(chapterMarks(events, { begins: at('09:00:00'), ends: at('11:00:00') })).toEqual([
      '00:00 Beginning',
      '01:05 idle draw',
      '1:04:05 1434 W',
    ])
  })
  it('name what is read twice once', () => {
    const twice = [...events.slice(1, 2), { at: at('09:05:00'), words: 'idle draw' }]
    expect(chapterMarks(twice, { begins: at('09:01:05') })).toEqual(['00:00 idle draw'])
  })
  it('do not care for the order of the record, and are none where nothing happened', () => {
    const film = { begins: at('09:01:05') }
    expect(chapterMarks([...events].reverse(), film)).toEqual(chapterMarks(events, film))
    expect(chapterMarks(events, film)[0]).toBe('00:00 idle draw')
    expect(chapterMarks(events, { begins: at('23:00:00') })).toEqual([])
  })
})
