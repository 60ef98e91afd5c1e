import fc from 'fast-check'
import { bankTruth, pathTruth, stationRigs, unitModels } from '..'
import { lossOf } from '../units/unit'
import { operateLegs } from './legs'

const rig = stationRigs.l48Legs
const bench = { bank: bankTruth(rig.bank), path: pathTruth(rig), unit: unitModels.varnock }
const heater = (watts: number) => ({ name: 'heater', kind: 'element' as const, watts, volts: 120 })
const total = [...bench.path.values()].reduce((sum, R) => sum + R, 0)

describe('a split phase on the stand-in bench', () => {
  const watts = fc.double({ min: 1, max: 2200, noNaN: true })

  it('conserves energy over both legs', () => {
    fc.assert(
      fc.property(watts, watts, (a, b) => {
        const { I = 0, P_L1 = 0, P_L2 = 0 } = operateLegs(bench, [heater(a)], [heater(b)])
        const lost = (bench.bank.R + total) * I ** 2 + lossOf(bench.unit, P_L1 + P_L2).watts
        expect(bench.bank.E * I - lost).toBeCloseTo(P_L1 + P_L2, 5)
      }),
    )
  })

  it('has lower volts on the leg that carries more, and is the same with the legs exchanged', () => {
    fc.assert(
      fc.property(watts, watts, (a, b) => {
        fc.pre(Math.abs(a - b) > 0.01)
        const [one, two] = [
          operateLegs(bench, [heater(a)], [heater(b)]),
          operateLegs(bench, [heater(b)], [heater(a)]),
        ]
        expect(Math.sign((one.V_L1 ?? 0) - (one.V_L2 ?? 0))).toBe(Math.sign(b - a))
        expect(one.V_L1).toBe(two.V_L2)
        expect(one.I).toBeCloseTo(two.I ?? 0, 9)
      }),
    )
  })

  it('says so where the supply cannot deliver it', () => {
    const dead = { ...bench, bank: { E: 53, R: 1 } }
    expect(() => operateLegs(dead, [heater(2000)], [])).toThrow('cannot deliver')
  })
})
