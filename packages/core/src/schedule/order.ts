import type { Block } from '@even-watt/contract'
import { isLoaded, isPowered } from './content'
import type { Remark } from './question'

export interface Ordered {
  readonly blocks: readonly Block[]
  readonly remarks: readonly Remark[]
}

/** Moves one block so that it stands before the one at a place in the list; the others keep their order. */
function movedBefore(blocks: readonly Block[], block: Block, index: number): Block[] {
  const at = blocks.indexOf(block)
  const rest = blocks.filter((one) => one !== block)
  rest.splice(at < index ? index - 1 : index, 0, block)
  return rest
}

const capital = (words: string) => (words[0]?.toUpperCase() ?? '') + words.slice(1)

interface Rule {
  readonly kind: Block['kind']
  /** Where a block is to stand, as a place in the list, and the block it must get past; undefined: it stands right. */
  readonly place: (
    blocks: readonly Block[],
    block: Block,
  ) => { index: number; past: Block | undefined } | undefined
  readonly side: 'before' | 'behind'
  readonly why: string
}

const idleFirst: Rule = {
  kind: 'no load',
  place: (blocks, block) => {
    const first = blocks.findIndex(({ kind }) => isLoaded(kind))
    return first >= 0 && first < blocks.indexOf(block) ? { index: first, past: blocks[first] } : undefined
  },
  side: 'before',
  why: 'idle draw is read while the unit is cold',
}

/** Behind all powered blocks but those of some kinds. */
const last = (kind: Block['kind'], but: readonly Block['kind'][], why: string): Rule => ({
  kind,
  place: (blocks, block) => {
    const behind = blocks.findLastIndex(
      (one) => isPowered(one.kind) && one.kind !== kind && !but.includes(one.kind),
    )
    return behind > blocks.indexOf(block) ? { index: behind + 1, past: blocks[behind] } : undefined
  },
  side: 'behind',
  why,
})

const rules: readonly Rule[] = [
  idleFirst,
  last('motors, bank low', ['run-down'], 'the bank is lowest there'),
  // What fills it again may follow.
  last('run-down', ['charge'], 'a run-down ends the day'),
]

function obey(ordered: Ordered, { kind, place, side, why }: Rule): Ordered {
  return ordered.blocks
    .filter((block) => block.kind === kind)
    .reduce(({ blocks, remarks }, block): Ordered => {
      const wanted = place(blocks, block)
      if (!wanted) return { blocks, remarks }
      const past = wanted.past?.kind ?? ''
      const stays = side === 'before' ? 'after' : 'before'
      const remark: Remark = block.fixed
        ? {
            block: block.id,
            kind: 'odd',
            sentence: `${capital(kind)} stays ${stays} ${past}, where you fixed it: ${why}.`,
          }
        : { block: block.id, kind: 'moved', sentence: `${capital(kind)} moved ${side} ${past}: ${why}.` }
      return {
        blocks: block.fixed ? blocks : movedBefore(blocks, block, wanted.index),
        remarks: [...remarks, remark],
      }
    }, ordered)
}

/**
 * The order of blocks by the rules that need no sums (docs/method/schedule.md): idle first; the repeat of surge tests with the
 * bank low late; a run-down last. A block that the tester fixed stays, and what speaks against it is said.
 */
export const orderBlocks = (blocks: readonly Block[]): Ordered =>
  rules.reduce<Ordered>(obey, { blocks, remarks: [] })

/** Surge tests before the first loaded block, for which the bank would be too low after it; undefined: they are there already. */
export function surgeFirst(blocks: readonly Block[], surge: Block): Block[] | undefined {
  const first = blocks.findIndex(({ kind }) => isLoaded(kind))
  return first >= 0 && first < blocks.indexOf(surge) ? movedBefore(blocks, surge, first) : undefined
}
