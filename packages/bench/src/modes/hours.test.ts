import { solarAfternoon, wallCharge } from '../charging/solar'
import { atEndOf } from '../ports/port'
import { corrickPanels, corrickPorts } from '../scenario/station'
import { changeover, searching, searchMean } from './changeover'

describe('a search', () => {
  it('has the mean of its pulses over whole cycles', () => {
    const model = { sleeps: 2.3, pulse: 26, every: 1.7, lasts: 0.2 }
    const watts = searching(model)
    let sum = 0
    const n = 17_000
    for (let i = 0; i < n; i++) sum += watts(i / 1000)
    expect(sum / n).toBeCloseTo(searchMean(model), 1)
    expect(searchMean(model)).toBeCloseTo(5.1, 1)
  })
})

describe('a changeover', () => {
  it('is a sine, next to nothing, and a sine again', () => {
    const model = { peak: 170, frequency: 60, at: 0.1, gap: 0.015, phase: 1 }
    expect(Math.abs(changeover(model, 0.1 + 0.01))).toBeLessThan(1)
    const highest = (from: number) =>
      Math.max(...Array.from({ length: 400 }, (_, i) => changeover(model, from + i / 12_000)))
    expect(highest(0)).toBeCloseTo(170, 0)
    expect(highest(0.2)).toBeCloseTo(167.5, 0)
  })
})

describe('a port of the bench', () => {
  it('falls with its source and lead, folds back, and cuts off', () => {
    const { usbC } = corrickPorts
    expect(atEndOf(0.09, usbC, 2)).toBeCloseTo(20.1 - 2 * (0.045 + 0.09), 9)
    expect(atEndOf(0.09, usbC, 2.3)).toBeLessThan(14)
    expect(atEndOf(0, usbC, 2.7)).toBe(0)
  })
})

describe('what the sun and the wall give', () => {
  it('is never more than the input takes, and the same at every call', () => {
    const asked = { hours: 5, peak: 960, seed: 77 }
    const day = solarAfternoon(corrickPanels, asked)
    expect(Math.max(...day.map(({ volts, amps }) => volts * amps))).toBeLessThanOrEqual(
      corrickPanels.most + 1e-9,
    )
    expect(solarAfternoon(corrickPanels, asked)).toEqual(day)
    expect(day.some(({ volts, amps, irradiance }) => irradiance > 50 && volts * amps < 5)).toBe(true)
  })
  it('fills a store with what its charger leaves of it, to 0.1 %', () => {
    const moments = wallCharge({ capacity: 1000, efficiency: 0.88, most: 242, tapersFrom: 0.9 }, 10)
    const taken = moments.slice(0, -1).reduce((sum, { watts }) => sum + watts / 360, 0)
    expect((0.88 * taken) / (1000 * (moments.at(-1)?.share ?? 0))).toBeCloseTo(1, 3)
  })
})
