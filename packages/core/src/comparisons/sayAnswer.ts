import { isMet, isNotMet } from '../court'
import { sayFigure } from '../figures'
import type { Comparison, CriterionRow, Standing } from './comparison'

/**
 * A comparison in a few sentences: what of each is better than the first, what is worse, what nobody can tell; which
 * promises stand otherwise; what was not tested; and how unlike the conditions were.
 */
export function sayAnswer({
  list,
  rows,
  curves,
  claims,
  conditions,
}: Pick<Comparison, 'list' | 'rows' | 'curves' | 'claims' | 'conditions'>): string[] {
  const [base] = list
  if (!base) return []
  return [
    ...list.slice(1).flatMap(({ name }, k) => {
      const i = k + 1
      const curve = curves[k]?.found
      return [
        ...told(rows, i, 'better', `${name} is better than ${base.name} in`),
        ...told(rows, i, 'worse', `${name} is worse than ${base.name} in`),
        ...(curve && 'sentence' in curve ? [curve.sentence] : []),
        ...alike(rows, i, name, base.name),
      ]
    }),
    ...promises(
      list.map(({ name }) => name),
      claims,
    ),
    ...untested(
      list.map(({ name }) => name),
      claims,
    ),
    ...(conditions.some(({ unlike }) => unlike)
      ? [
          `Not alike: ${conditions
            .filter(({ unlike }) => unlike)
            .map(({ words }) => words)
            .join(', ')}. Look at the conditions before you choose by a small difference.`,
        ]
      : []),
  ]
}

const joined = (words: readonly string[]): string =>
  words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`

function told(rows: readonly CriterionRow[], i: number, is: 'better' | 'worse', begin: string): string[] {
  const said = rows.flatMap(({ criterion, cells }) => {
    const found = cells[i]?.against
    const figure = cells[i]?.figure
    if (found?.is !== is || !figure || !('x' in figure)) return []
    const { x } = found.difference
    const size = sayFigure({ unit: figure.unit, x: { ...x, value: Math.abs(x.value) } })
    const by = figure.unit === '%' ? size.replace(/ %$/, ' points') : size
    return [`${criterion.words} (${x.value > 0 ? 'more' : 'less'} by ${by})`]
  })
  return said.length ? [`${begin} ${joined(said)}.`] : []
}

function alike(rows: readonly CriterionRow[], i: number, name: string, base: string): string[] {
  const said = rows.flatMap(({ criterion, cells }) =>
    cells[i]?.against?.is === 'alike' ? [criterion.words] : [],
  )
  return said.length ? [`No difference is shown between ${name} and ${base} in ${joined(said)}.`] : []
}

/** Promises that one keeps and another does not. */
function promises(names: readonly string[], claims: Comparison['claims']): string[] {
  return claims.flatMap(({ words, cells }) => {
    const kept = names.filter((_, i) => isMet(cells[i]?.outcome ?? 'not tested'))
    const broken = names.filter((_, i) => isNotMet(cells[i]?.outcome ?? 'not tested'))
    return kept.length && broken.length
      ? [`The promise of ${words} is met by ${joined(kept)}, not by ${joined(broken)}.`]
      : []
  })
}

/** What of each promises nobody tested. */
function untested(names: readonly string[], claims: Comparison['claims']): string[] {
  return names.flatMap((name, i) => {
    const open = claims.filter(({ cells }) => cells[i]?.outcome === 'not tested').map(({ words }) => words)
    return open.length ? [`Not tested of ${name}: ${joined(open)}.`] : []
  })
}

/** How one stands to the first, in words. */
export const sayStanding = (is: Standing): string =>
  is === 'alike' ? 'no difference shown' : is === 'apart' ? 'it differs' : is
