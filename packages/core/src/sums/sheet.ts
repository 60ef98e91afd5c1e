import { expanded, type Uncertain } from '../meters'
import { quantityIds, type QuantityId } from './quantities'
import { relations, type Relation, type Values } from './relations'
import { solve, solveFor, usual, type Solved } from './solve'

/** One quantity as it was typed, in the unit it is kept in. */
export interface TypedQuantity {
  readonly id: QuantityId
  readonly value: number
  /** The other end, of a range. */
  readonly to?: number
  /** Expanded uncertainty, where it was typed. */
  readonly U?: number
  /** Half of its last digit: closer than this it was not meant. */
  readonly half: number
}

export interface SumRow {
  readonly id: QuantityId
  readonly x: Uncertain
  /** Lowest and highest over the ranges that were typed, with what is unsure besides; absent where they change nothing. */
  readonly range?: readonly [number, number]
  /** By what it follows; absent for what was typed. */
  readonly by?: Relation
  /** Assumptions that it rests on. */
  readonly rests: readonly QuantityId[]
}

export interface Clash {
  readonly relation: Relation
  /** What does not fit, as it was typed or follows, and as the relation has it; the latter is absent where nothing would do. */
  readonly id: QuantityId
  readonly stands?: number
  readonly asks?: number
  /** What was typed of which one cannot be so. */
  readonly among: readonly QuantityId[]
}

export interface Need {
  readonly wanted: QuantityId
  readonly needs: QuantityId
}

export interface Sheet {
  /** What was typed, in its order. */
  readonly typed: readonly SumRow[]
  /** What follows, in the order of the sheet. */
  readonly follows: readonly SumRow[]
  readonly assumed: readonly QuantityId[]
  readonly clashes: readonly Clash[]
  /** What one more value would give, the nearest first. */
  readonly needs: readonly Need[]
}

/** Corners double with every range; more are not looked at, and the rest stand at their middle. */
const mostRanges = 6
const mostNeeds = 8
/** What is typed from memory is meant no closer than this. */
const meant = 0.005

/**
 * Everything that follows from what was typed (docs/method/sums.md): values with the uncertainty that was typed carried through
 * by differences, ranges over all their corners, what contradicts, what was assumed, and what is missing.
 */
export function sheetOf(typed: readonly TypedQuantity[]): Sheet {
  const middle = new Map(typed.map(({ id, value, to }) => [id, to === undefined ? value : (value + to) / 2]))
  const solved = solve(middle)
  const moved = typed.flatMap(({ id, U }) => (U === undefined ? [] : [{ id, ...both(middle, id, U / 2) }]))
  const corners = cornersOf(typed, middle).map((corner) => solve(corner))
  const otherwise = [...solved.assumed].map((id) => ({
    id,
    there: solve(middle, new Map([...usual, [id, (usual.get(id) ?? 0) * 1.01 + 0.01]])),
  }))
  const row = (id: QuantityId): SumRow => {
    const value = solved.values.get(id) ?? NaN
    const ends = corners.flatMap(({ values }) => values.get(id) ?? [])
    const [low, high] = [Math.min(...ends), Math.max(...ends)]
    const by = solved.by.get(id)
    const x: Uncertain = {
      value,
      sources: new Map(
        moved.flatMap(({ id: source, up, down }) => {
          const u = ((up.values.get(id) ?? NaN) - (down.values.get(id) ?? NaN)) / 2
          return Math.abs(u) > 1e-12 * Math.abs(value) ? [[source, u] as const] : []
        }),
      ),
    }
    // What is unsure besides reaches beyond both ends.
    const U = expanded(x)
    return {
      id,
      x,
      ...(high - low > 1e-9 * Math.abs(high) ? { range: [low - U, high + U] as const } : {}),
      ...(by ? { by } : {}),
      rests: otherwise.flatMap(({ id: assumption, there }) =>
        Math.abs((there.values.get(id) ?? value) - value) > 1e-9 * Math.abs(value) && id !== assumption
          ? [assumption]
          : [],
      ),
    }
  }
  const follows = quantityIds.filter((id) => solved.by.has(id)).map(row)
  const bearing = new Set(follows.flatMap(({ rests }) => rests))
  return {
    typed: typed.map(({ id }) => row(id)),
    follows,
    assumed: [...solved.assumed].filter((id) => bearing.has(id)),
    clashes: nearest(clashesOf(typed, middle, solved, corners)),
    needs: needsOf(solved),
  }
}

const both = (middle: ReadonlyMap<QuantityId, number>, id: QuantityId, by: number) => {
  const at = (value: number) => solve(new Map([...middle, [id, value]]))
  const value = middle.get(id) ?? NaN
  return { up: at(value + by), down: at(value - by) }
}

/** Every way in which the ranges may stand at their ends; one way only where none was typed. */
function cornersOf(
  typed: readonly TypedQuantity[],
  middle: ReadonlyMap<QuantityId, number>,
): ReadonlyMap<QuantityId, number>[] {
  const ranges = typed.flatMap(({ id, value, to }) => (to === undefined ? [] : [{ id, ends: [value, to] }]))
  return ranges
    .slice(0, mostRanges)
    .reduce<ReadonlyMap<QuantityId, number>[]>(
      (corners, { id, ends }) =>
        corners.flatMap((corner) => ends.map((end) => new Map([...corner, [id, end]]))),
      [middle],
    )
}

const gapIn = ({ of, gap }: Relation, { values }: Solved) =>
  gap(Object.fromEntries(of.map((id) => [id, values.get(id) ?? NaN])) as unknown as Values)

/** Relations that what was typed breaks, by more than it was meant to; and what cannot be at all. */
function clashesOf(
  typed: readonly TypedQuantity[],
  middle: ReadonlyMap<QuantityId, number>,
  solved: Solved,
  corners: readonly Solved[],
): Clash[] {
  const used = new Set(solved.by.values())
  const among = (relation: Relation) => {
    const behind = new Set<QuantityId>()
    const gather = (id: QuantityId, depth: number) => {
      const by = solved.by.get(id)
      if (!by) behind.add(id)
      else if (depth < 40) by.of.filter((other) => other !== id).forEach((other) => gather(other, depth + 1))
    }
    relation.of.filter((id) => solved.values.has(id)).forEach((id) => gather(id, 0))
    return typed.map(({ id }) => id).filter((id) => behind.has(id))
  }
  const shifts = new Map<QuantityId, ReturnType<typeof both>>()
  /** The sheet with one quantity a little more and a little less, as it may have been meant. */
  const shifted = (id: QuantityId) => {
    const one = typed.find((other) => other.id === id)
    const by = Math.max(one?.half ?? 0, one?.U ?? 0, Math.abs(middle.get(id) ?? 0) * meant)
    const found = shifts.get(id) ?? both(middle, id, by)
    shifts.set(id, found)
    return found
  }
  const broken = relations.flatMap((relation): Clash[] => {
    if (used.has(relation) || !relation.of.every((id) => solved.values.has(id))) return []
    const gap = gapIn(relation, solved)
    const slack = among(relation).reduce((sum, id) => {
      const { up, down } = shifted(id)
      return sum + Math.max(...[up, down].map((there) => Math.abs(gapIn(relation, there) - gap)))
    }, 0)
    const held = corners.some((corner) => {
      const there = gapIn(relation, corner)
      return Math.abs(there) <= slack || there * gap < 0
    })
    if (!(Math.abs(gap) > slack) || held) return []
    return [clashOf(relation, solved, among(relation))]
  })
  return [
    ...broken,
    ...solved.impossible.map(({ id, relation, value }) => ({
      relation,
      id,
      ...(value === undefined ? {} : { asks: value }),
      among: among(relation),
    })),
  ]
}

/** One slip breaks much that follows from it: of contradictions the ones are told that rest on least. */
const nearest = (clashes: readonly Clash[]): Clash[] =>
  clashes.filter(
    ({ among }, i) =>
      !clashes.some(
        (other, j) =>
          j !== i &&
          other.among.every((id) => among.includes(id)) &&
          (other.among.length < among.length || j < i),
      ),
  )

/** What was typed last of a broken relation is held against what the others ask of it. */
function clashOf(relation: Relation, solved: Solved, among: readonly QuantityId[]): Clash {
  const id = among.filter((one) => relation.of.includes(one)).at(-1) ?? relation.of[0]
  const stands = id && solved.values.get(id)
  const asks = id && solveFor(id, relation, solved.values)
  return {
    relation,
    id: id ?? 'watts',
    ...(stands === undefined ? {} : { stands }),
    ...(asks === undefined ? {} : { asks }),
    among,
  }
}

/** What follows from one value more: of two that a relation lacks, the one further down the sheet is wanted. */
function needsOf({ values, assumed }: Solved): Need[] {
  const found = new Map<QuantityId, Need & { readonly known: number }>()
  for (const { of, only } of relations) {
    const known = of.filter((id) => values.has(id)).length
    const told = of.some((id) => values.has(id) && !assumed.has(id))
    const lacking = quantityIds.filter((id) => of.includes(id) && !values.has(id))
    const [needs, wanted] = only && lacking[0] === only ? [lacking[1], lacking[0]] : lacking
    if (!told || lacking.length !== 2 || !needs || !wanted) continue
    if (known > (found.get(wanted)?.known ?? 0)) found.set(wanted, { wanted, needs, known })
  }
  return [...found.values()]
    .sort((a, b) => b.known - a.known)
    .slice(0, mostNeeds)
    .map(({ wanted, needs }) => ({ wanted, needs }))
}
