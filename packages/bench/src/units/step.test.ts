import { softStartIn, stepResponse } from '@even-watt/core'
import { courseOf } from '@even-watt/core/waveform/index'
import fc from 'fast-check'
import { loadStep, machines, seeded, start, switchedOn, unitModels, type Stepped } from '..'
import { digitised } from '../waveform/scope'

const logger = { name: 'logger', bits: 12, rate: 2000, percent: 2, gain: 0.2, offset: 0, noise: 0.5, skew: 0 }

/** What a logger makes of it, as a course. */
function seen({ dt, V, I }: Stepped, seed: number) {
  const random = seeded(seed)
  const seconds = V.length * dt
  const wave = (rms: readonly number[], quantity: 'V_C' | 'I_C') => {
    const at = (t: number) => rms[Math.min(rms.length - 1, Math.floor(t / dt))] ?? 0
    const peak = Math.SQRT2 * Math.max(...rms, 1e-6)
    return {
      quantity,
      x: digitised(logger, (t) => Math.SQRT2 * at(t) * Math.sin(2 * Math.PI * 50 * t), {
        seconds,
        peak,
        random,
      }),
    }
  }
  const course = courseOf({
    dt: 1 / logger.rate,
    times: undefined,
    channels: [wave(V, 'V_C'), wave(I, 'I_C')],
  })
  if (!course) throw new Error('no course')
  return course
}

describe('a unit whose load changes, as a logger sees it', () => {
  const unit = unitModels.ottrel

  it('dips by its impedance and is back by its time constant', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 2, max: 5, noNaN: true }),
        fc.double({ min: 0.05, max: 0.2, noNaN: true }),
        fc.nat(99),
        (impedance, timeConstant, seed) => {
          const stepped = loadStep(unit, { impedance, timeConstant }, { from: 60, to: 1060, seconds: 3 })
          const response = stepResponse(seen(stepped, seed))
          const truth = Math.min(...stepped.V)
          // A cycle averages over what comes back within it.
          expect(response?.lowest).toBeGreaterThan(truth - 2)
          expect(response?.lowest).toBeLessThan(truth + 0.35 * (229 - truth) + 2)
          // What is off by more than 1 % falls as an e-function.
          const off = (impedance * 1000) / 231.4
          const back = timeConstant * Math.log(off / (0.01 * 229.8))
          expect(Math.abs((response?.back ?? 0) - back)).toBeLessThan(0.04 + 0.15 * back)
        },
      ),
      { numRuns: 25 },
    )
  })

  it('blanks on release where it does, and not on a step up', () => {
    const regulating = { impedance: 1, timeConstant: 0.05, blanking: 0.06 }
    expect(stepResponse(seen(loadStep(unit, regulating, { from: 1000, to: 60 }), 1))?.blanked).toBeCloseTo(
      0.05,
      1,
    )
    expect(stepResponse(seen(loadStep(unit, regulating, { from: 60, to: 1000 }), 1))?.blanked).toBeUndefined()
  })

  it('starts softly in the time it takes, from 10 to 90 %', () => {
    for (const softStart of [0.4, 0.9, 1.5]) {
      const course = seen(switchedOn(unit, { impedance: 1, timeConstant: 0.1, softStart }, { watts: 700 }), 3)
      expect(softStartIn(course)).toBeCloseTo(0.8 * softStart, 1)
    }
    expect(
      softStartIn(seen(loadStep(unit, { impedance: 1, timeConstant: 0.1 }, { from: 60, to: 700 }), 3)),
    ).toBeUndefined()
  })
})

describe('a capacitor-start machine', () => {
  it('comes sooner with its capacitor than without, and takes more meanwhile', () => {
    const bench = { bank: { E: 26.4, R: 0.0117 }, path: new Map([['leads', 0.006]]), unit: unitModels.ottrel }
    const limits = { current: 60, rated: 9000, seconds: 9, folding: 9, instant: 20_000, cutoff: 15 }
    const heavy = { ...machines.transfer, torque: 0.9, held: 0.8, inertia: 0.3 }
    const capacitor = { torque: 1.8, current: 1.15, until: 0.75 }
    const without = start(bench, heavy, { limits, seconds: 4 })
    const withIt = start(bench, { ...heavy, capacitor }, { limits, seconds: 4 })
    expect(withIt.lasted).toBeLessThan(without.lasted)
    const most = ({ moments }: typeof withIt) => Math.max(...moments.map(({ I }) => I))
    expect(most(withIt)).toBeGreaterThan(most(without))
  })
})
