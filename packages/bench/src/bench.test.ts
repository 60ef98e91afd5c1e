import { isFigure, viewTrial } from '@even-watt/core'
import fc from 'fast-check'
import { readFileSync } from 'node:fs'
import {
  bankTruth,
  demo,
  lossOf,
  operate,
  pathTruth,
  powerAt,
  seeded,
  shelf,
  stationBanks,
  stationRigs,
  unitModels,
} from '.'

describe('the stand-in bench', () => {
  it('puts loads on their laws (§14)', () => {
    const kettle = { name: 'kettle', kind: 'element' as const, watts: 1750, volts: 230 }
    expect(powerAt([kettle], 221)).toBeCloseTo(1616, 0)
    expect(powerAt([shelf.lamps(1)], 230)).toBe(60)
  })

  it('keeps the energy balance at every load', () => {
    const bench = {
      bank: bankTruth(stationBanks.l24),
      path: pathTruth(stationRigs.l24, { 'negative lug': 0.01 }),
      unit: unitModels.ottrel,
    }
    const total = [...bench.path.values()].reduce((sum, R) => sum + R, 0)
    fc.assert(
      fc.property(fc.double({ min: 1, max: 2000, noNaN: true }), (watts) => {
        const truth = operate(bench, [{ name: 'x', kind: 'element', watts, volts: 230 }])
        if (!truth) return
        const drawn = bench.bank.E * truth.I
        const lost = bench.bank.R * truth.I ** 2 + total * truth.I ** 2 + lossOf(bench.unit, truth.S).watts
        expect(drawn - lost).toBeCloseTo(truth.P_C, 6)
      }),
    )
  })

  it('is the same for the same seed, and not for another', () => {
    const take = (seed: number) => Array.from({ length: 5 }, seeded(seed).next)
    expect(take(3)).toEqual(take(3))
    expect(take(3)).not.toEqual(take(4))
  })

  it('makes the demo that stands in demo/', () => {
    const { files, ...documents } = demo()
    for (const [name, content] of Object.entries(documents)) {
      // As text, for a comparison value by value takes ten times as long as making it.
      const stands = JSON.stringify(JSON.parse(readFileSync(`demo/${name}.json`, 'utf8')))
      expect([name, stands === JSON.stringify(content)]).toEqual([name, true])
    }
    for (const [sha256, bytes] of files) expect(readFileSync(`demo/files/${sha256}`).equals(bytes)).toBe(true)
  })
})

describe('the demo trials', () => {
  const [ottrel, pellam] = demo().trials.map(({ trial, entries }) => viewTrial(trial, entries))
  const outcome = (view: typeof ottrel, quantity: string) =>
    view?.findings.find(({ claim }) => claim.quantity === quantity)

  it('show the Ottrel at 1400 W as the scenario says', () => {
    const at1400 = ottrel?.analyses.map((analysis) =>
      analysis.ladder.steps.find((step) => step.load.startsWith('immersion rod')),
    )
    const read = (i: number, key: 'eta_unit' | 'eta_system') => {
      const figure = at1400?.[i]?.[key]
      return figure && isFigure(figure) ? 100 * figure.x.value : NaN
    }
    expect(read(0, 'eta_system')).toBeCloseTo(90.3, 0)
    expect(read(1, 'eta_system')).toBeCloseTo(92.5, 0)
    expect(read(0, 'eta_unit')).toBeCloseTo(93.1, 0)
    expect(read(1, 'eta_unit')).toBeCloseTo(93.1, 0)
    expect(outcome(ottrel, 'continuous power')?.standing.outcome).toBe('met')
    expect(outcome(ottrel, 'continuous power')?.earlier[0]).toMatchObject({
      outcome: 'not shown',
      limiter: 'joint',
    })
    expect(outcome(ottrel, 'idle draw')?.standing.outcome).toBe('met')
  })

  it('show the Pellam limited by its supply first and not met by regulation then', () => {
    expect(outcome(pellam, 'continuous power')?.earlier[0]).toMatchObject({
      outcome: 'not shown',
      limiter: 'supply',
    })
    expect(outcome(pellam, 'continuous power')?.standing.outcome).toBe('not met')
    expect(outcome(pellam, 'regulation')?.standing.outcome).toBe('not met')
  })
})
