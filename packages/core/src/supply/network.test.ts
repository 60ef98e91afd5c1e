import fc from 'fast-check'
import { parallelOf } from '../../test/makers'
import { sharing, solveNetwork, sourceBetween, type Branch, type Network } from '.'

const battery = (from: number, to: number, emf: number, resistance: number): Branch => ({
  from,
  to,
  emf,
  resistance,
})
const resistor = (from: number, to: number, resistance: number): Branch => ({ from, to, emf: 0, resistance })

/** An independent way to the same voltages: every node in turn takes the value that its neighbours demand. */
function relax(
  { nodes, branches }: Network,
  reference: number,
  from: number,
  into: number,
  current: number,
): number[] {
  const volts = new Array<number>(nodes).fill(0)
  for (let sweep = 0; sweep < 400_000; sweep++) {
    let moved = 0
    for (let node = 0; node < nodes; node++) {
      if (node === reference) continue
      let conductance = 0
      let pull = (node === into ? current : 0) - (node === from ? current : 0)
      for (const branch of branches) {
        if (branch.open || (branch.from !== node && branch.to !== node)) continue
        const g = 1 / branch.resistance
        conductance += g
        pull +=
          branch.to === node
            ? g * ((volts[branch.from] ?? 0) + branch.emf)
            : g * ((volts[branch.to] ?? 0) - branch.emf)
      }
      if (!conductance) continue
      const next = pull / conductance
      moved = Math.max(moved, Math.abs(next - (volts[node] ?? 0)))
      volts[node] = next
    }
    if (moved < 1e-12) break
  }
  return volts
}

describe('nodal analysis', () => {
  it('shares four batteries as docs/method/supply.md works it out', () => {
    const bank = parallelOf([0.0038, 0.0038, 0.0038, 0.0038])
    const rounded = (shares: number[] | undefined) => shares?.map((amps) => Number(amps.toFixed(1)))
    expect(rounded(sharing(bank, 120))).toEqual([47.6, 31.5, 22.5, 18.4])
    const diagonal = {
      ...bank,
      join: { ...bank.join, kind: 'in line' as const, positiveAt: 0, negativeAt: 3 },
    }
    expect(rounded(sharing(diagonal as typeof bank, 120))).toEqual([33, 27, 27, 33])
    const busbars = { ...bank, join: { kind: 'busbars' as const, leads: [0.001, 0.001, 0.001, 0.001] } }
    expect(rounded(sharing(busbars, 120))).toEqual([30, 30, 30, 30])
  })

  it('divides a voltage and closes a loop', () => {
    const solution = solveNetwork(
      { nodes: 3, branches: [battery(0, 1, 12, 1), resistor(1, 2, 2), resistor(2, 0, 3)] },
      0,
    )
    expect(solution?.voltages).toEqual([0, 10, expect.closeTo(6, 12)])
    expect(solution?.currents).toEqual([expect.closeTo(2, 12), expect.closeTo(2, 12), expect.closeTo(2, 12)])
  })

  const ohms = fc.double({ min: 1e-4, max: 0.05, noNaN: true })
  const bank = fc.integer({ min: 1, max: 12 }).chain((n) =>
    fc.record({
      E: fc.array(fc.double({ min: 11, max: 14, noNaN: true }), { minLength: n, maxLength: n }),
      R: fc.array(ohms, { minLength: n, maxLength: n }),
      links: fc.array(fc.tuple(ohms, fc.boolean()), { minLength: 2 * n, maxLength: 2 * n }),
      dead: fc.array(fc.integer({ min: 0, max: 5 }), { minLength: n, maxLength: n }),
      at: fc.tuple(fc.integer({ min: 0, max: n - 1 }), fc.integer({ min: 0, max: n - 1 })),
      current: fc.double({ min: -300, max: 300, noNaN: true }),
    }),
  )
  type BankCase = typeof bank extends fc.Arbitrary<infer T> ? T : never
  const networkOf = ({ E, R, links, dead }: BankCase): Network => {
    const n = E.length
    const branches = E.map((emf, i) => ({ ...battery(n + i, i, emf, R[i] ?? 1), open: dead[i] === 0 }))
    for (let i = 0; i + 1 < n; i++) {
      // One link in a few is open.
      const [positive, negative] = [links[i], links[n + i]]
      branches.push({
        ...resistor(i, i + 1, positive?.[0] ?? 1),
        open: Boolean(positive?.[1]) && i % 3 === 2,
      })
      branches.push({ ...resistor(n + i, n + i + 1, negative?.[0] ?? 1), open: false })
    }
    return { nodes: 2 * n, branches }
  }

  it('obeys both of Kirchhoff’s laws with any batteries, links, open links and dead ones', () => {
    fc.assert(
      fc.property(bank, (made) => {
        const network = networkOf(made)
        const n = made.E.length
        const [from, into] = [made.at[0], n + made.at[1]]
        const solution = solveNetwork(network, into, [{ from, into, current: made.current }])
        if (!solution) return
        const sums = new Array<number>(network.nodes).fill(0)
        sums[from] = -made.current
        sums[into] = (sums[into] ?? 0) + made.current
        network.branches.forEach((branch, i) => {
          const amps = solution.currents[i] ?? NaN
          sums[branch.from] = (sums[branch.from] ?? 0) - amps
          sums[branch.to] = (sums[branch.to] ?? 0) + amps
          const [a, b] = [solution.voltages[branch.from], solution.voltages[branch.to]]
          if (!branch.open && a !== undefined && b !== undefined) {
            expect(b - a).toBeCloseTo(branch.emf - branch.resistance * amps, 8)
          }
        })
        for (const sum of sums) expect(Math.abs(sum)).toBeLessThan(1e-6)
      }),
    )
  })

  it('agrees with relaxation, another method altogether', () => {
    fc.assert(
      fc.property(bank, (made) => {
        const small = {
          ...made,
          R: made.R.map((R) => R + 0.01),
          links: made.links.map(([R, open]) => [R + 0.01, open] as [number, boolean]),
        }
        const network = networkOf(small)
        const n = made.E.length
        const [from, into] = [made.at[0], n + made.at[1]]
        const solution = solveNetwork(network, into, [{ from, into, current: made.current }])
        if (!solution) return
        const other = relax(network, into, from, into, made.current)
        solution.voltages.forEach((volts, node) => {
          if (volts !== undefined)
            expect(Math.abs(volts - (other[node] ?? NaN))).toBeLessThan(1e-6 * Math.max(1, Math.abs(volts)))
        })
      }),
      { numRuns: 25 },
    )
  })

  it('says nothing across a gap, and solves what circulates behind it', () => {
    const network = {
      nodes: 4,
      branches: [battery(0, 1, 12, 1), battery(2, 3, 12, 0.5), { ...battery(2, 3, 13, 0.5) }],
    }
    expect(solveNetwork(network, 0, [{ from: 3, into: 0, current: 1 }])).toBeUndefined()
    const solution = solveNetwork(network, 0)
    expect(solution?.voltages).toEqual([0, 12, undefined, undefined])
    expect(solution?.currents).toEqual([0, -1, 1].map((amps) => expect.closeTo(amps, 12) as number))
    expect(sourceBetween(network, 3, 0)).toBeUndefined()
  })

  it('refuses a resistance that is not above 0, and a node that is not there', () => {
    expect(() => solveNetwork({ nodes: 2, branches: [resistor(0, 1, 0)] }, 0)).toThrow('resistance above 0')
    expect(() => solveNetwork({ nodes: 2, branches: [resistor(0, 1, -1)] }, 0)).toThrow(RangeError)
    expect(() => solveNetwork({ nodes: 2, branches: [resistor(0, 1, NaN)] }, 0)).toThrow(RangeError)
    expect(() => solveNetwork({ nodes: 2, branches: [resistor(0, 2, 1)] }, 0)).toThrow('not there')
    expect(() => solveNetwork({ nodes: 2, branches: [] }, 5)).toThrow('not in the network')
    expect(solveNetwork({ nodes: 1, branches: [] }, 0)).toEqual({ voltages: [0], currents: [] })
  })
})
