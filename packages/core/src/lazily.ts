/** An object whose parts are worked out when they are first read, once each. */
export function lazily<T extends object>(parts: { readonly [K in keyof T]: () => T[K] }): T {
  const whole = {} as T
  for (const name of Object.keys(parts) as (keyof T)[]) {
    Object.defineProperty(whole, name, {
      enumerable: true,
      configurable: true,
      get() {
        const value = parts[name]()
        Object.defineProperty(whole, name, { enumerable: true, value })
        return value
      },
    })
  }
  return whole
}
