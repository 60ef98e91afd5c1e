/** Lanczos coefficients of ln Γ (g = 7, nine terms): right to 1e-15. */
const lanczos = [
  0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
  12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
] as const

/** ln Γ(x), x > 0. */
function logGamma(x: number): number {
  if (x < 0.5) return Math.log(Math.PI / Math.sin(Math.PI * x)) - logGamma(1 - x)
  const at = x - 1
  const base = at + 7.5
  let sum = lanczos[0]
  for (let i = 1; i < lanczos.length; i++) sum += (lanczos[i] as number) / (at + i)
  return 0.5 * Math.log(2 * Math.PI) + (at + 0.5) * Math.log(base) - base + Math.log(sum)
}

/** Continued fraction of the incomplete beta function, by Lentz; quick for x under (a + 1)/(a + b + 2). */
function betaFraction(x: number, a: number, b: number): number {
  const tiny = 1e-300
  const unlessNothing = (value: number) => (Math.abs(value) < tiny ? tiny : value)
  let c = 1
  let d = 1 / unlessNothing(1 - ((a + b) * x) / (a + 1))
  let fraction = d
  for (let m = 1; m <= 500; m++) {
    const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m))
    d = 1 / unlessNothing(1 + even * d)
    c = unlessNothing(1 + even / c)
    fraction *= d * c
    const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1))
    d = 1 / unlessNothing(1 + odd * d)
    c = unlessNothing(1 + odd / c)
    const change = d * c
    fraction *= change
    if (Math.abs(change - 1) < 1e-15) break
  }
  return fraction
}

/** Regularised incomplete beta function I_x(a, b), 0 ≤ x ≤ 1. */
function incompleteBeta(x: number, a: number, b: number): number {
  if (x <= 0) return 0
  if (x >= 1) return 1
  const front = Math.exp(logGamma(a + b) - logGamma(a) - logGamma(b) + a * Math.log(x) + b * Math.log(1 - x))
  return x < (a + 1) / (a + b + 2)
    ? (front * betaFraction(x, a, b)) / a
    : 1 - (front * betaFraction(1 - x, b, a)) / b
}

/** Of more degrees of freedom than these the distribution is as good as normal. */
const manyDegrees = 1e6

/**
 * Probability that Student's t with ν degrees of freedom stays under t (docs/method/meters.md). ν > 0; so many as to be
 * infinite are the normal distribution.
 */
export function studentBelow(t: number, freedom: number): number {
  if (!Number.isFinite(t)) return t > 0 ? 1 : 0
  const nu = Math.min(freedom, manyDegrees)
  const tail = incompleteBeta(nu / (nu + t * t), nu / 2, 0.5) / 2
  return t > 0 ? 1 - tail : tail
}

/** What ±2 standard deviations of a normal distribution hold: the coverage that U stands for. */
const covers = 0.954_499_736_103_642

/** The factor k by which ν degrees of freedom cover 95.45 %, two-sided: 2 for infinitely many, 13.97 for one. */
export function coverageOf(freedom: number): number {
  if (freedom >= manyDegrees) return 2
  const wanted = (1 + covers) / 2
  let [low, high] = [2, 20]
  while (studentBelow(high, freedom) < wanted) high *= 2
  for (let i = 0; i < 60 && high - low > 1e-12 * high; i++) {
    const middle = (low + high) / 2
    if (studentBelow(middle, freedom) < wanted) low = middle
    else high = middle
  }
  return (low + high) / 2
}
