/**
 * Names of sources of error. Specification sources are shared by all readings of one meter and range;
 * own sources belong to one quantity of one step and are shared by nothing else.
 */
export const specificationSource = (meter: string, range: string) => `spec|${meter}|${range}`
export const ownSource = (what: string, where: string) => `own|${what}|${where}`
export const methodSource = (method: string, where: string) => `method|${method}|${where}`

export const isOwn = (source: string) => source.startsWith('own|')

export type SourceName =
  | { kind: 'spec'; meter: string; range: string }
  | { kind: 'own'; what: string; where: string }
  | { kind: 'method'; what: string; where: string }

/** Takes a source's name apart again, for the uncertainty budget on screen. */
export function readSource(source: string): SourceName {
  const [kind, first = '', ...rest] = source.split('|')
  const second = rest.join('|')
  if (kind === 'spec') return { kind, meter: first, range: second }
  return { kind: kind === 'own' ? 'own' : 'method', what: first, where: second }
}
