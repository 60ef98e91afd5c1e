import { decides, type Derived, type Figure } from '../figures'
import { claimsAcross } from './claims'
import { commonErrors, type Compared } from './compared'
import type { Comparison, CriterionCell, CriterionRow } from './comparison'
import { conditionsOf } from './conditions'
import { criteria, type Criterion } from './criteria'
import { curveDifference } from './curves'
import { differenceOf } from './difference'
import { sayAnswer } from './sayAnswer'

/**
 * Lays trials beside each other (docs/method/comparisons.md). All are held against the first, and against the hours of the
 * first that states any. Rows of the tester’s own stand behind those that every comparison has. The order of the others changes no difference.
 */
export function compareTrials(list: readonly Compared[], own: readonly Criterion[] = []): Comparison {
  const [base] = list
  const hours = list.find(({ trial }) => trial.duty.length)?.trial.duty ?? []
  const common = commonErrors(list)
  const rows = [...criteria, ...own].map((criterion): CriterionRow => {
    const figures = list.map((one) => criterion.of(one, hours, list))
    return {
      criterion,
      cells: figures.map((figure, i) => ({
        figure,
        against:
          i === 0 || !base ? undefined : against(criterion, [list[i], figure], [base, figures[0]], common),
      })),
    }
  })
  const curves = base ? list.slice(1).map((one) => ({ one, found: curveDifference(one, base, common) })) : []
  const claims = claimsAcross(list)
  const conditions = conditionsOf(list)
  return {
    list,
    hours,
    conditions,
    claims,
    rows,
    curves,
    answer: sayAnswer({ list, rows, curves, claims, conditions }),
  }
}

type Known = readonly [of: Compared | undefined, figure: Derived | undefined]

function against(
  { better, neutral }: Criterion,
  [one, figure]: Known,
  [base, first]: Known,
  common: ReturnType<typeof commonErrors>,
): CriterionCell['against'] {
  if (!(better || neutral) || !one || !base || !figure || !first || !decides(figure) || !decides(first))
    return undefined
  const x = (of: Compared, { x: value }: Figure) => common(of, value)
  const difference = differenceOf(x(one, figure), x(base, first))
  const more = difference.x.value > 0
  return {
    difference,
    is: !difference.significant
      ? 'alike'
      : neutral
        ? 'apart'
        : more === (better === 'more')
          ? 'better'
          : 'worse',
  }
}
