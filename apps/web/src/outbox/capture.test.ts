import { capture, type Made } from './capture'

const mockPosted: unknown[] = []
jest.mock('./outbox', () => ({
  post: (items: unknown[]) => {
    mockPosted.push(...items)
    return Promise.resolve()
  },
}))

const trial = '00000000-0000-7000-8000-000000000001'
const motor = (reading: object): Made =>
  ({
    revision: 1,
    kind: 'motors',
    reading: { number: 1, load: 'pump', outcome: 'started', ...reading },
  }) as Made

describe('the one way into the record', () => {
  beforeEach(() => mockPosted.splice(0))

  it('gives id, time and the page’s clock to what is captured now', () => {
    const [one, two] = [capture(trial, motor({})), capture(trial, motor({}))]
    if (!('entry' in one) || !('entry' in two)) throw new Error('refused')
    expect(one.entry.id).not.toBe(two.entry.id)
    expect(one.entry.clock?.page).toBe(two.entry.clock?.page)
    expect(two.entry.clock?.seconds).toBeGreaterThanOrEqual(one.entry.clock?.seconds ?? Infinity)
    expect(mockPosted).toEqual([
      { trial, entry: one.entry },
      { trial, entry: two.entry },
    ])
  })

  it('keeps the time of what was written down earlier, to which no clock of this page belongs', () => {
    const captured = capture(trial, { ...motor({}), at: '2026-03-12T09:00:00.000Z' })
    expect('entry' in captured && captured.entry).toMatchObject({ at: '2026-03-12T09:00:00.000Z' })
    expect('entry' in captured && captured.entry.clock).toBeUndefined()
  })

  it.each([
    ['a number out of reach', { peakCurrent: 1e9 }, 'reading.peakCurrent'],
    ['no name', { load: ' ' }, 'reading.load'],
    ['a damaged character', { note: 'a\ud800' }, 'reading.note'],
  ])('says at its path what is wrong, and keeps nothing: %s', (_, patch, path) => {
    const captured = capture(trial, motor(patch))
    expect('faults' in captured && captured.faults.map((fault) => fault.path)).toEqual([path])
    expect(mockPosted).toEqual([])
  })
})
