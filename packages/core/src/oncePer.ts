/** What follows from one object alone, and holds no sentence: worked out once for each. */
export function oncePer<Key extends object, Value>(make: (key: Key) => Value): (key: Key) => Value {
  const known = new WeakMap<Key, { readonly value: Value }>()
  return (key) => {
    const found = known.get(key)
    if (found) return found.value
    const value = make(key)
    known.set(key, { value })
    return value
  }
}
