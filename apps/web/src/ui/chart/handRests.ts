/** ms without a key after which the hand rests. */
const rest = 250

let lastKey = -Infinity
globalThis.addEventListener?.('keydown', () => (lastKey = performance.now()), {
  capture: true,
  passive: true,
})

/**
 * Does what takes a while, such as drawing a long ladder, once no key has been pressed for a moment; `after` is the
 * least to wait, ms. Not done any more once what is returned was called.
 */
export function whenHandRests(then: () => void, after = 0): () => void {
  let timer: ReturnType<typeof setTimeout>
  const look = () => {
    const left = lastKey + rest - performance.now()
    if (left > 0) timer = setTimeout(look, left)
    else then()
  }
  timer = setTimeout(look, after)
  return () => clearTimeout(timer)
}

/** ms without a change after which a drawn chart follows. */
export const followsAfter = rest
