import { CholeskyDecomposition, Matrix } from 'ml-matrix'

/** Mean and harmonics of samples: x ≈ dc + Σ a[h]·cos(h·w·n) + b[h]·sin(h·w·n), h from 1 (index 0), peak values. */
export interface Components {
  readonly dc: number
  readonly a: Float64Array
  readonly b: Float64Array
  /** Σ x, Σ x·cos, Σ x·sin over the samples it was fitted to. */
  readonly sums: { readonly x: number; readonly cos: Float64Array; readonly sin: Float64Array }
}

/** Samples worked at once: they stay in the nearest cache while every harmonic passes over them. */
const block = 512

const { abs, cos: cosine, sign, sin: sine } = Math

interface Table {
  readonly cos: Float64Array
  readonly sin: Float64Array
}

function tableOf(w: number, length: number): Table {
  const table = { cos: new Float64Array(length), sin: new Float64Array(length) }
  for (let n = 0; n < length; n++) {
    table.cos[n] = cosine(w * n)
    table.sin[n] = sine(w * n)
  }
  return table
}

function turned({ cos, sin }: Table, by: Table): Table {
  const { length } = cos
  const table = { cos: new Float64Array(length), sin: new Float64Array(length) }
  for (let n = 0; n < length; n++) {
    const [c, s, ct, st] = [cos[n] as number, sin[n] as number, by.cos[n] as number, by.sin[n] as number]
    table.cos[n] = c * ct - s * st
    table.sin[n] = c * st + s * ct
  }
  return table
}

/**
 * Mean and `H` harmonics at exact multiples of `w` (rad a sample), over any `N` samples in a row, by least squares. The normal
 * equations have closed forms and are solved once; only their right-hand side passes over samples, block by block against
 * one table, each block turned to its place. Exact for a wave that holds no more than those harmonics, whatever share of a
 * sample its cycles have.
 */
export class Basis {
  private readonly tables = new Map<number, Table>()
  private readonly sums: readonly (readonly [cos: number, sin: number])[]
  private readonly solver: CholeskyDecomposition | undefined

  constructor(
    readonly w: number,
    readonly H: number,
    readonly N: number,
  ) {
    // At half multiples too, for what lies between the harmonics.
    this.sums = Array.from({ length: 4 * H + 4 }, (_, i) => sumsOfWave(i / 2, w, N))
    this.solver = N >= 2 * H + 1 ? this.decomposed() : undefined
  }

  /** The components of N samples from `from` on; undefined where they are too few to tell. */
  components(x: Float64Array, from = 0): Components | undefined {
    const { H, solver } = this
    if (!solver) return undefined
    const right = Matrix.zeros(2 * H + 1, 1)
    for (let h = 0; h <= H; h++) {
      const [c, s] = this.moments(x, h, from)
      right.set(h, 0, c)
      if (h) right.set(H + h, 0, s)
    }
    const solved = Float64Array.from(solver.solve(right).to1DArray())
    const sums = Float64Array.from(right.to1DArray())
    return {
      dc: solved[0] as number,
      a: solved.subarray(1, H + 1),
      b: solved.subarray(H + 1),
      sums: { x: sums[0] as number, cos: sums.subarray(1, H + 1), sin: sums.subarray(H + 1) },
    }
  }

  /**
   * Mean square that noise shows at one harmonic: of what stands halfway between the harmonics, less what the components
   * throw there because the samples do not end with a cycle.
   */
  noise(x: Float64Array, { dc, a, b }: Components, from: number): number {
    const { H, N } = this
    let power = 0
    for (let m = 1.5; m < H; m++) {
      let [c, s] = this.moments(x, m, from)
      c -= dc * this.C(m)
      s -= dc * this.S(m)
      for (let k = 1; k <= H; k++) {
        const [ak, bk] = [a[k - 1] as number, b[k - 1] as number]
        c -= (ak * (this.C(m - k) + this.C(m + k)) + bk * (this.S(m + k) - this.S(m - k))) / 2
        s -= (ak * (this.S(m + k) + this.S(m - k)) + bk * (this.C(m - k) - this.C(m + k))) / 2
      }
      power += (2 * (c * c + s * s)) / N ** 2
    }
    return H > 1 ? power / (H - 1) : 0
  }

  private C(m: number): number {
    return (this.sums[2 * abs(m)] as readonly [number, number])[0]
  }

  private S(m: number): number {
    return sign(m) * (this.sums[2 * abs(m)] as readonly [number, number])[1]
  }

  private decomposed(): CholeskyDecomposition | undefined {
    const { H } = this
    const gram = Matrix.zeros(2 * H + 1, 2 * H + 1)
    // Rows: the mean, then the cosines, then the sines.
    for (let h = 0; h <= H; h++)
      for (let k = 0; k <= H; k++) {
        gram.set(h, k, (this.C(h - k) + this.C(h + k)) / 2)
        if (k > 0) gram.set(h, H + k, (this.S(h + k) + this.S(k - h)) / 2)
        if (h > 0) gram.set(H + h, k, (this.S(h + k) + this.S(h - k)) / 2)
        if (h > 0 && k > 0) gram.set(H + h, H + k, (this.C(h - k) - this.C(h + k)) / 2)
      }
    const decomposed = new CholeskyDecomposition(gram)
    return decomposed.isPositiveDefinite() ? decomposed : undefined
  }

  /** cos and sin of k·w·n for a block; one multiple turned by w is the next, which is quicker than asking each anew. */
  private table(k: number): Table {
    let table = this.tables.get(k)
    if (!table) {
      const length = Math.min(block, this.N)
      table = k <= 1 ? tableOf(k * this.w, length) : turned(this.table(k - 1), this.table(1))
      this.tables.set(k, table)
    }
    return table
  }

  /** Σ x·cos(k·w·n) and Σ x·sin(k·w·n), n from 0. */
  private moments(x: Float64Array, k: number, from: number): [number, number] {
    const { cos, sin } = this.table(k)
    let c = 0
    let s = 0
    for (let start = 0; start < this.N; start += block) {
      const length = Math.min(block, this.N - start)
      const first = from + start
      let c0 = 0
      let s0 = 0
      let c1 = 0
      let s1 = 0
      let n = 0
      for (; n + 1 < length; n += 2) {
        const even = x[first + n] as number
        const odd = x[first + n + 1] as number
        c0 += even * (cos[n] as number)
        s0 += even * (sin[n] as number)
        c1 += odd * (cos[n + 1] as number)
        s1 += odd * (sin[n + 1] as number)
      }
      if (n < length) {
        const even = x[first + n] as number
        c0 += even * (cos[n] as number)
        s0 += even * (sin[n] as number)
      }
      const ct = cosine(k * this.w * start)
      const st = sine(k * this.w * start)
      c += (c0 + c1) * ct - (s0 + s1) * st
      s += (c0 + c1) * st + (s0 + s1) * ct
    }
    return [c, s]
  }
}

/** Σ cos(m·w·n) and Σ sin(m·w·n) over n = 0 … N − 1, in closed form. */
function sumsOfWave(m: number, w: number, N: number): readonly [number, number] {
  const half = (m * w) / 2
  const s = Math.sin(half)
  if (m === 0 || Math.abs(s) < 1e-14) return [N, 0]
  const size = Math.sin(N * half) / s
  return [size * Math.cos((N - 1) * half), size * Math.sin((N - 1) * half)]
}
