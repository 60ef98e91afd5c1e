import type { EntryOf } from '@even-watt/contract'
import { sayPhotograph } from './sayPhotograph'
import { isOf, takenAt } from './usePhotographs'

const id = (n: number) => `0192e4a0-0000-7000-8000-${String(n).padStart(12, '0')}`
const [claim, other, lug] = [id(1), id(2), id(3)]

const photograph = (reading: Partial<EntryOf<'photograph'>['reading']>): EntryOf<'photograph'> => ({
  id: id(9),
  revision: 1,
  at: '2026-03-12T09:00:00.000Z',
  kind: 'photograph',
  reading: {
    sha256: 'a'.repeat(64),
    size: 10,
    name: 'x.jpg',
    type: 'image/jpeg',
    width: 4,
    height: 3,
    marks: [],
    ...reading,
  },
})
const ring = { shape: 'ring' as const, from: { x: 0, y: 0 }, to: { x: 1, y: 1 } }

describe('where a photograph stands', () => {
  it('is at what it is of, and at every promise that is marked on it', () => {
    const label = photograph({ shows: 'label', marks: [{ ...ring, about: claim }, ring] })
    expect(isOf(label, { about: claim })).toBe(true)
    expect(isOf(label, { about: other })).toBe(false)
    expect(isOf(label, { shows: 'label' })).toBe(true)
    expect(isOf(label, { shows: 'inside' })).toBe(false)
    // Asked of a thing, what it shows does not matter.
    expect(isOf(photograph({ about: lug, shows: 'joints' }), { about: lug, shows: 'label' })).toBe(true)
    expect(isOf(photograph({ shows: 'label' }), { about: claim, shows: 'label' })).toBe(false)
    // Of nothing in particular it stands nowhere but on the sheet.
    expect(isOf(photograph({}), {})).toBe(false)
  })
})

describe('what a photograph is called', () => {
  const things = new Map([[lug, 'negative lug']])
  it.each([
    [{}, 'A photograph'],
    [{ shows: 'label' as const }, 'Label'],
    [{ about: lug }, 'Negative lug'],
    [{ about: lug, shows: 'joints' as const }, 'Joints: negative lug'],
    [{ about: other, shows: 'joints' as const }, 'Joints'],
  ])('%p', (reading, said) => expect(sayPhotograph(photograph(reading), things)).toBe(said))
})

describe('when it was taken', () => {
  it('is as its file says, else when it came here', () => {
    expect(takenAt(photograph({}))).toBe('2026-03-12T09:00:00.000Z')
    expect(takenAt(photograph({ takenAt: '2026-03-11T17:00:00.000Z' }))).toBe('2026-03-11T17:00:00.000Z')
  })
})
