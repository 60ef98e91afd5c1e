/**
 * What the browser keeps for its user (`remembered`) and for one tab across a reload (`ofTab`). A browser that is set
 * to keep nothing, or is full, must break no screen: then nothing is kept, and what is read is not there.
 */
const attempt = <T>(work: () => T): T | undefined => {
  try {
    return work()
  } catch {
    return undefined
  }
}

const over = (storage: () => Storage) => ({
  read: (key: string): string | undefined => attempt(() => storage().getItem(key)) ?? undefined,
  keep: (key: string, text: string): void => void attempt(() => storage().setItem(key, text)),
  drop: (key: string): void => void attempt(() => storage().removeItem(key)),
})

export const remembered = over(() => localStorage)
const ofTab = over(() => sessionStorage)

const draftKey = (name: string) => `draft ${name}`

/** What is half typed belongs to its tab: it survives a reload, and no other tab takes it for its own. */
export const drafts = {
  /** What was kept, where it is whole; damaged text is as good as none. */
  read(name: string): unknown {
    const text = ofTab.read(draftKey(name))
    return text === undefined ? undefined : attempt(() => JSON.parse(text) as unknown)
  },
  keep: (name: string, draft: unknown): void => ofTab.keep(draftKey(name), JSON.stringify(draft)),
  drop: (name: string): void => ofTab.drop(draftKey(name)),
  /** Drops every draft of this tab, for a screen that fails over one of them. */
  dropAll(): void {
    const keys = attempt(() => Object.keys(sessionStorage)) ?? []
    for (const key of keys) if (key.startsWith(draftKey(''))) ofTab.drop(key)
  },
}

/**
 * Whether something kept has the shape of an example: the same kinds of values under the same names, with elements of
 * lists and what the example leaves out as they may be.
 */
export function resembles<T>(example: T, kept: unknown): kept is T {
  if (Array.isArray(example))
    return (
      Array.isArray(kept) && (!example.length || kept.every((one) => resembles<unknown>(example[0], one)))
    )
  if (typeof example === 'object' && example !== null)
    return (
      typeof kept === 'object' &&
      kept !== null &&
      !Array.isArray(kept) &&
      Object.entries(example).every(
        ([name, value]) =>
          value === undefined || resembles<unknown>(value, (kept as Record<string, unknown>)[name]),
      )
    )
  return typeof kept === typeof example
}
