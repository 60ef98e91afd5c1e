/** Height of a line of words in a chart, px. */
const line = 13

/**
 * How far labels at these heights, px from the top, must be moved down (up where negative) so that none covers another:
 * runs that are too close are spread about their middle, in the order they stand in.
 */
export function apart(heights: readonly number[]): number[] {
  const order = heights.map((_, i) => i).sort((a, b) => (heights[a] ?? 0) - (heights[b] ?? 0))
  const groups: { members: number[]; middle: number }[] = []
  const top = ({ members, middle }: (typeof groups)[number]) => middle - ((members.length - 1) * line) / 2
  const bottom = ({ members, middle }: (typeof groups)[number]) => middle + ((members.length - 1) * line) / 2
  for (const i of order) {
    let group = { members: [i], middle: heights[i] ?? 0 }
    for (let above = groups.at(-1); above && top(group) - bottom(above) < line; above = groups.at(-1)) {
      groups.pop()
      const members = [...above.members, ...group.members]
      const middle = members.reduce((sum, one) => sum + (heights[one] ?? 0), 0) / members.length
      group = { members, middle }
    }
    groups.push(group)
  }
  const moved = heights.map(() => 0)
  for (const group of groups)
    group.members.forEach((i, at) => (moved[i] = top(group) + at * line - (heights[i] ?? 0)))
  return moved
}
