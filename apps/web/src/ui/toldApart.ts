import { clockTime, shortDate } from './dates'

interface Named {
  readonly id: string
  readonly name: string
  readonly savedAt: string
}

/**
 * What tells documents of one name apart, by id, in words: the facts in which they differ, or else when each was last saved. One
 * that has its name alone is not there.
 */
export function toldApart<D extends Named>(
  all: readonly D[],
  factsOf: (one: D) => readonly string[],
): ReadonlyMap<string, string> {
  const byName = new Map<string, D[]>()
  for (const one of all) {
    const name = one.name.trim().toLowerCase()
    byName.set(name, [...(byName.get(name) ?? []), one])
  }
  const apart = new Map<string, string>()
  for (const alike of byName.values()) {
    if (alike.length < 2) continue
    const facts = alike.map(factsOf)
    const saying = facts.map((own) =>
      own.filter((fact, i) => fact && facts.some((other) => other[i] !== fact)).join(', '),
    )
    alike.forEach(({ id, savedAt }, i) => {
      const said = saying[i] ?? ''
      const isAlone = saying.filter((other) => other === said).length === 1
      const saved = `saved ${shortDate(savedAt)} ${clockTime(savedAt)}`
      apart.set(id, isAlone && said ? said : [said, saved].filter(Boolean).join(', '))
    })
  }
  return apart
}
