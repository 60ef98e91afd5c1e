/**
 * What was made, by what it was made from: asked for again, or by several at once, it is made once. So many are kept; the
 * longest unasked makes room. What failed is made anew.
 */
export function onceMade<T>(most: number): (from: string, make: () => Promise<T>) => Promise<T> {
  const kept = new Map<string, Promise<T>>()
  return (from, make) => {
    const made = kept.get(from) ?? make()
    kept.delete(from)
    kept.set(from, made)
    made.catch(() => kept.delete(from))
    for (const oldest of kept.keys()) {
      if (kept.size <= most) break
      kept.delete(oldest)
    }
    return made
  }
}
