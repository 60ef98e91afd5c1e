import { drafts, remembered, resembles } from './browserStore'

const example = { load: '', texts: {}, lines: [{ name: '' }], count: undefined }

describe('what the browser keeps', () => {
  it('is taken only in the shape it is expected in', () => {
    expect(resembles(example, { load: 'x', texts: { a: 'b' }, lines: [{ name: 'y' }, { name: 'z' }] })).toBe(
      true,
    )
    expect(resembles(example, { load: 'x', texts: {}, lines: [], more: 1 })).toBe(true)
    for (const damaged of [
      undefined,
      null,
      7,
      'text',
      [],
      {},
      { load: 1, texts: {}, lines: [] },
      { load: 'x', texts: [], lines: [] },
      { load: 'x', texts: {}, lines: [null] },
      { load: 'x', texts: {}, lines: [{}] },
    ])
      expect(resembles(example, damaged)).toBe(false)
  })

  it('is nothing in a browser without a store, and breaks nothing', () => {
    // Node has neither store: just as a browser that forbids them.
    drafts.keep('a', { b: 1 })
    expect(drafts.read('a')).toBeUndefined()
    drafts.dropAll()
    remembered.keep('theme', 'night')
    expect(remembered.read('theme')).toBeUndefined()
  })

  it('comes back as it was put, and damaged text as nothing', () => {
    const kept = new Map<string, string>()
    const store = {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, text: string) => void kept.set(key, text),
      removeItem: (key: string) => void kept.delete(key),
    }
    Object.assign(globalThis, { sessionStorage: store })
    try {
      drafts.keep('a', { b: 1 })
      expect(drafts.read('a')).toEqual({ b: 1 })
      const [[key, text] = ['', '']] = kept
      kept.set(key, text.slice(0, text.length / 2))
      expect(drafts.read('a')).toBeUndefined()
      drafts.drop('a')
      expect(kept.size).toBe(0)
    } finally {
      Reflect.deleteProperty(globalThis, 'sessionStorage')
    }
  })
})
