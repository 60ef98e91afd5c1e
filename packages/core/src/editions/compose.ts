import type { ReportBlock } from '@even-watt/contract'

/**
 * The parts of a report in the order in which they stand. `usual` names every part there is, in its usual order; `chosen`
 * is what the tester made of it. A part that is no more is left out; one that came since stands behind the part that it
 * usually follows. Own words and what was picked stand where they were put. Each key stands once.
 */
export function composed(usual: readonly string[], chosen: readonly ReportBlock[] = []): ReportBlock[] {
  const known = new Set(usual)
  const taken = new Set<string>()
  const blocks = chosen.filter((block) => {
    const { key } = block
    if (taken.has(key) || (!isPut(block) && !known.has(key))) return false
    taken.add(key)
    return true
  })
  usual.forEach((key, i) => {
    if (taken.has(key)) return
    const before = usual.slice(0, i).findLast((other) => blocks.some((block) => block.key === other))
    const at = before === undefined ? 0 : blocks.findIndex((block) => block.key === before) + 1
    blocks.splice(at, 0, { key, shown: true })
    taken.add(key)
  })
  return blocks
}

/** Whether a part was put there by the tester, and can be taken out again. */
export const isPut = ({ words, picked }: ReportBlock): boolean => words !== undefined || picked !== undefined

/** With one part moved to another place; places beyond the ends are the ends. */
export function moved(blocks: readonly ReportBlock[], key: string, to: number): ReportBlock[] {
  const from = blocks.findIndex((block) => block.key === key)
  const rest = blocks.filter((_, i) => i !== from)
  const [block] = blocks.slice(from, from + 1)
  if (from < 0 || !block) return [...blocks]
  rest.splice(Math.min(rest.length, Math.max(0, to)), 0, block)
  return rest
}
