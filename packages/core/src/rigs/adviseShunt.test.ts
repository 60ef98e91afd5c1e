import fc from 'fast-check'
import { bankOf, revisionOf, rigOf, unitOf } from '../../test/makers'
import { claimOf } from '../../test/verdicts'
import { adviseShunt } from '.'

const bank = (nominal: number) => {
  const [battery] = bankOf().strings.flat()
  if (!battery) throw new Error('no battery')
  return bankOf({ strings: [[{ ...battery, nominal }]] })
}
const advice = (watts: number, nominal = 24) =>
  adviseShunt(
    revisionOf({
      unit: unitOf({ claims: [claimOf({ value: watts })] }),
      rig: rigOf({ bank: bank(nominal) }),
    }),
  )

describe('the shunt that reads a unit', () => {
  it('is the smallest that carries its rating, with a count fine enough for idle', () => {
    const found = advice(1400)
    expect(found?.full).toBeCloseTo(1400 / (0.85 * 0.95 * 24), 9)
    expect([found?.size, found?.drop]).toEqual([100, 0.075])
    expect(found?.count).toBeCloseTo(14 / 24 / 20, 9)
    expect(found?.countVolts).toBeCloseTo((14 / 24 / 20) * 0.00075, 12)
  })

  it('carries what the unit takes, and half the volts want one of twice the amps or the next', () => {
    fc.assert(
      fc.property(fc.integer({ min: 50, max: 4000 }), (watts) => {
        const [low, high] = [advice(watts, 12), advice(watts, 24)]
        if (!low || !high) return
        expect(low.size).toBeGreaterThanOrEqual(low.full)
        expect(low.full).toBeCloseTo(2 * high.full, 9)
        expect(low.size).toBeGreaterThanOrEqual(high.size)
      }),
    )
  })

  it('is none where nothing is promised, or none is sold', () => {
    expect(adviseShunt(revisionOf({ unit: unitOf({ claims: [] }) }))).toBeUndefined()
    expect(advice(100_000, 12)).toBeUndefined()
  })
})
