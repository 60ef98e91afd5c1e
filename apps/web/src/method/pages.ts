/** The method as the repository has it, a page a subject; each is fetched when it is opened. */
const files = import.meta.glob<string>('../../../../docs/method/*.md', { query: '?raw', import: 'default' })

const byName = new Map(
  Object.entries(files).map(([path, load]) => [/([^/]+)\.md$/.exec(path)?.[1] ?? path, load]),
)

export const contents = 'README'

/** The text of a page; undefined: there is no such page. */
export const readMethod = (name: string): Promise<string> | undefined => byName.get(name)?.()

/** Names of the pages, in the order of the alphabet, without the list of them. */
export const methodNames: readonly string[] = [...byName.keys()].filter((name) => name !== contents).sort()
