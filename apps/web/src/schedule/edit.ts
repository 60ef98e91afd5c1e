import type { Block, Schedule } from '@even-watt/contract'
import type { Stretch } from '@even-watt/core'

/** The blocks in the order in which they lie, each once. */
export const orderOf = (placed: readonly Pick<Stretch, 'block' | 'part'>[]): string[] => [
  ...new Set(placed.flatMap(({ block, part }) => (part ? [] : [block]))),
]

/** The schedule with its blocks in the order in which they lie; those that do not lie anywhere go last. */
function asItLies(schedule: Schedule, order: readonly string[]): Block[] {
  const place = (id: string) => (order.includes(id) ? order.indexOf(id) : order.length)
  return [...schedule.blocks].sort((a, b) => place(a.id) - place(b.id))
}

/** A block moved by hand to another place among those that lie: it is fixed there. */
export function moveBlock(
  schedule: Schedule,
  order: readonly string[],
  id: string,
  to: number,
): Schedule | undefined {
  const blocks = asItLies(schedule, order)
  const from = blocks.findIndex((block) => block.id === id)
  const [block] = blocks.splice(from, 1)
  const index = Math.min(blocks.length, Math.max(0, to))
  if (from < 0 || !block || index === from) return undefined
  blocks.splice(index, 0, { ...block, fixed: true })
  return { ...schedule, blocks }
}

export const changeBlock = (schedule: Schedule, id: string, change: (block: Block) => Block): Schedule => ({
  ...schedule,
  blocks: schedule.blocks.map((block) => (block.id === id ? change(block) : block)),
})

export const removeBlock = (schedule: Schedule, id: string): Schedule => ({
  ...schedule,
  blocks: schedule.blocks.filter((block) => block.id !== id),
})

/** With one field set, or left out where it is undefined. */
export function withField<K extends 'minutes' | 'startsAt' | 'watts'>(
  block: Block,
  field: K,
  value: Block[K] | undefined,
): Block {
  const kept = Object.fromEntries(Object.entries(block).filter(([name]) => name !== field)) as Block
  return value === undefined ? kept : { ...kept, [field]: value }
}
