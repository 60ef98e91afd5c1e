import { createElement, use, type ComponentType } from 'react'

export interface Fetched<Props extends object> {
  /** Begins to fetch it, or says when it is there. */
  readonly fetch: () => Promise<unknown>
  readonly Part: ComponentType<Props>
}

/**
 * A component of a file of its own, fetched when it is first shown or before. Where it is there already it stands at once: React's
 * own `lazy` waits even then, and what waits is held back by a third of a second each time.
 */
export function fetched<Props extends object>(load: () => Promise<ComponentType<Props>>): Fetched<Props> {
  let there: ComponentType<Props> | undefined
  let coming: Promise<ComponentType<Props>> | undefined
  // What failed stays failed until the page is loaded again, as with `lazy`: a part that asked anew at each try would never end.
  const fetch = () => (coming ??= load().then((part) => (there = part)))
  return { fetch, Part: (props) => createElement(there ?? use(fetch()), props) }
}
