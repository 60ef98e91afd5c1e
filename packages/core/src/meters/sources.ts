/**
 * Names of sources of error. Specification sources are shared by all readings of one meter and range;
 * own sources belong to one quantity of one step and are shared by nothing else.
 */
export const specificationSource = (meter: string, range: string) => `spec|${meter}|${range}`
export const ownSource = (what: string, where: string) => `own|${what}|${where}`
export const methodSource = (method: string, where: string) => `method|${method}|${where}`

/** Of repeats: own too, with the pool that its standard deviation was taken from and the degrees of freedom of that. */
export const repeatSource = (what: string, where: string, pool: string, freedom: number) =>
  `rep|${what}|${where}|${pool}|${freedom}`

export const isOwn = (source: string) => source.startsWith('own|') || source.startsWith('rep|')

/** The pool and the degrees of freedom of a source of repeats; undefined for any other. */
export function repeatedIn(source: string): { readonly pool: string; readonly freedom: number } | undefined {
  if (!source.startsWith('rep|')) return undefined
  const end = source.lastIndexOf('|')
  const begins = source.lastIndexOf('|', end - 1)
  return { pool: source.slice(begins + 1, end), freedom: Number(source.slice(end + 1)) }
}

export type SourceName =
  | { kind: 'spec'; meter: string; range: string }
  | { kind: 'own'; what: string; where: string }
  | { kind: 'method'; what: string; where: string }

/** Takes a source's name apart again, for the uncertainty budget on screen. */
export function readSource(source: string): SourceName {
  const [kind, first = '', ...rest] = source.split('|')
  const second = rest.join('|')
  if (kind === 'spec') return { kind, meter: first, range: second }
  if (kind === 'rep') return { kind: 'own', what: `repeats of ${first}`, where: rest.slice(0, -2).join('|') }
  return { kind: kind === 'own' ? 'own' : 'method', what: first, where: second }
}
