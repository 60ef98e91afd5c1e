/** How long one slice may hold up the page, ms: half a frame. */
const slice = 8

/** A machine that is never idle still comes to it, ms. */
const latest = 150

// Not every browser tells when it is idle; there it is after what waits already.
const whenIdle: (then: () => void) => () => void =
  'requestIdleCallback' in globalThis
    ? (then) => {
        const id = requestIdleCallback(then, { timeout: latest })
        return () => cancelIdleCallback(id)
      }
    : (then) => {
        const id = setTimeout(then)
        return () => clearTimeout(id)
      }

/**
 * Does long work between other things: a slice at a time whenever the page is idle, so that keys and frames come
 * first. Calls `done` at its end, unless what is returned was called before.
 */
export function inSlices(work: Iterator<unknown>, done: () => void): () => void {
  let cancel = whenIdle(function go() {
    const until = performance.now() + slice
    while (performance.now() < until) if (work.next().done) return done()
    cancel = whenIdle(go)
  })
  return () => cancel()
}
