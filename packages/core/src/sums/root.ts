/** Between these a root is looked for where it does not follow in one line: no quantity of a bench lies beyond. */
const [least, most] = [1e-9, 1e12]
const steps = 420
const halvings = 100

/**
 * The x at which a gap is nought: in one step where the gap is a straight line, else the lowest above nought that lies between
 * two of `steps` places spaced evenly by ratio, halved until no number lies between. Undefined where there is none; where the
 * gap is not finite nothing is looked for.
 */
export function rootOf(gap: (x: number) => number): number | undefined {
  const straight = ofLine(gap)
  if (straight !== undefined) return straight.root
  const ratio = (most / least) ** (1 / steps)
  let [from, before] = [least, gap(least)]
  for (let i = 1; i <= steps; i++) {
    const to = least * ratio ** i
    const after = gap(to)
    if (before === 0) return from
    if (before * after < 0) return halve(gap, from, to)
    ;[from, before] = [to, after]
  }
  return undefined
}

/** Set where the gap is a straight line; its root is not, where the line never meets nought. */
function ofLine(gap: (x: number) => number): { root: number | undefined } | undefined {
  const [at0, at1, at2] = [gap(0), gap(1), gap(2)]
  const size = Math.abs(at0) + Math.abs(at1) + Math.abs(at2)
  if (!(Math.abs(at2 - 2 * at1 + at0) <= 1e-13 * size)) return undefined
  const slope = at1 - at0
  if (Math.abs(slope) <= 1e-13 * size) return { root: undefined }
  const near = -at0 / slope
  // So near to 0 a gentle slope is lost in rounding: once more, as far out as the root itself.
  const there = (gap(near) - at0) / near
  return { root: near === 0 || there === 0 ? near : -at0 / there }
}

function halve(gap: (x: number) => number, from: number, to: number): number {
  const side = Math.sign(gap(from))
  let [low, high] = [from, to]
  for (let i = 0; i < halvings; i++) {
    const middle = (low + high) / 2
    if (Math.sign(gap(middle)) === side) low = middle
    else high = middle
  }
  return (low + high) / 2
}
