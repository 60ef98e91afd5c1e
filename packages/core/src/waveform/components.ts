import type { Components } from './basis'

/** Share of the fundamental under which a component is nothing but the rounding of the sums, and has no phase. */
export const rounding = 1e-9

/** Phase of a harmonic, rad, so that it is A·sin(h·w·n + phase). */
export const phaseOf = ({ a, b }: Components, h = 1): number =>
  Math.atan2(a[h - 1] as number, b[h - 1] as number)

/** Peak value of a harmonic. */
export const amplitudeOf = ({ a, b }: Components, h = 1): number =>
  Math.hypot(a[h - 1] as number, b[h - 1] as number)

/**
 * Mean of the product of two waves over exactly whole cycles: what their components give, and what is left of the samples
 * beside both, whose products sum to `products` over N samples. With itself: the mean square. So an end of a record that
 * falls between two samples does no harm.
 */
export function meanProduct(p: Components, q: Components, products: number, N: number): number {
  let whole = p.dc * q.dc
  let fitted = p.dc * q.sums.x
  for (let i = 0; i < p.a.length; i++) {
    const a = p.a[i] as number
    const b = p.b[i] as number
    whole += (a * (q.a[i] as number) + b * (q.b[i] as number)) / 2
    fitted += a * (q.sums.cos[i] as number) + b * (q.sums.sin[i] as number)
  }
  return whole + (products - fitted) / N
}
