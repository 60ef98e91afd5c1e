import { whenHandRests } from './handRests'

/** ms after which a page that was opened is taken to rest, and between one and the next. */
const first = 1000
const next = 60

const waiting = new Set<() => void>()
let turning = false

function takeTurns(after: number): void {
  if (turning) return
  turning = true
  whenHandRests(() => {
    turning = false
    const [turn] = waiting
    if (!turn) return
    waiting.delete(turn)
    turn()
    takeTurns(next)
  }, after)
}

/** Does something once the page rests, one after the other, in the order in which they were asked for; returns how to let it be. */
export function inTurn(then: () => void): () => void {
  waiting.add(then)
  takeTurns(first)
  return () => void waiting.delete(then)
}
