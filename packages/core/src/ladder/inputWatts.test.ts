import type { Quantity } from '@even-watt/contract'
import fc from 'fast-check'
import { bankOf, unitOf } from '../../test/makers'
import { isFigure, type Derived, type Figure } from '../figures'
import { rectangular, standard, uncertain } from '../meters'
import { inputPower, rippleOf, type SeenRipple } from './inputWatts'

const figure = (symbol: string, unit: 'V' | 'A', value: number, u = 0): Figure => ({
  symbol,
  unit,
  x: uncertain(value, `spec|${symbol}`, u),
  grade: 'measured',
  working: { formula: 'read', inputs: [], notes: [], entries: [] },
})

interface Bench {
  readonly volts: number
  readonly amps: number
  readonly resistance: number
  readonly path?: number
  readonly u?: number
}

/** Watts at a tap, of a bench whose ripple was captured or is only bounded. */
function watts(
  tap: 'A' | 'B',
  { volts, amps, resistance, path = 0, u = 0 }: Bench,
  seen: SeenRipple | undefined,
): Figure {
  const [V_B, V_A, I] = [
    figure('V_B', 'V', volts, u),
    figure('V_A', 'V', volts + path * amps, u),
    figure('I', 'A', amps, u),
  ]
  const read = { V_A, V_B, I } as Partial<Record<Quantity, Derived>> as Record<Quantity, Derived>
  const ripple = rippleOf(
    { ...read, PF: { missing: 'not read' } },
    bankOf({ rippleResistance: resistance }),
    unitOf(),
    'here',
    seen,
  )
  const found = inputPower(tap === 'A' ? 'P_A' : 'P_B', tap === 'A' ? V_A : V_B, I, ripple, tap)
  if (!isFigure(found)) throw new Error(found.missing)
  return found
}

/** Mean of volts times amps over whole turns of a ripple, behind a resistance: what truly flows. */
function meanOfProduct(volts: number, amps: number, resistance: number, ratio: number): number {
  const turns = 1000
  let sum = 0
  for (let k = 0; k < turns; k++) {
    const wave = Math.SQRT2 * ratio * amps * Math.sin((2 * Math.PI * k) / turns)
    sum += (volts - resistance * wave) * (amps + wave)
  }
  return sum / turns
}

const positive = (min: number, max: number) => fc.double({ min, max, noNaN: true })

describe('input watts where the ripple was captured', () => {
  it('are the mean of volts times amps, at both ends of the cable', () => {
    fc.assert(
      fc.property(
        positive(11, 58),
        positive(1, 200),
        positive(1e-4, 0.05),
        positive(0, 0.02),
        positive(0, 1.4),
        (volts, amps, resistance, path, ratio) => {
          const seen = { ratio, percent: 1 }
          const bench = { volts, amps, resistance, path }
          const [atA, atB] = [watts('A', bench, seen), watts('B', bench, seen)]
          const close = (found: Figure, expected: number) =>
            expect(Math.abs(found.x.value - expected)).toBeLessThan(1e-9 * volts * amps)
          close(atA, meanOfProduct(volts + path * amps, amps, resistance, ratio))
          close(atB, meanOfProduct(volts, amps, resistance + path, ratio))
          // What is between the ends is lost in the path, by the true current.
          const lost = path * (amps ** 2 + (ratio * amps) ** 2)
          expect(Math.abs(atA.x.value - atB.x.value - lost)).toBeLessThan(1e-9 * volts * amps)
        },
      ),
    )
  })

  it('are the plain product where there is no ripple, and 18 W less in the worked example', () => {
    const bench = { volts: 24, amps: 60, resistance: 0.01 }
    expect(watts('A', bench, { ratio: 0, percent: 1 }).x.value).toBe(1440)
    const seen = watts('A', bench, { ratio: 1 / Math.SQRT2, percent: 1 })
    expect(seen.x.value).toBeCloseTo(1422, 9)
    expect(seen.working.notes.join()).toBe('Ripple as captured: 10.0 mΩ × (0.71·I)² = 18.00 W.')
  })

  it('are surer than by the bound, as unsure as the instrument makes the ripple', () => {
    const bench = { volts: 24, amps: 60, resistance: 0.01 }
    const by = (percent: number) => standard(watts('A', bench, { ratio: 0.5, percent }).x)
    // A ripple that is off by a share is off by twice that in its square: 9 W × 2 × 3 %.
    expect(by(3)).toBeCloseTo(rectangular(0.54), 9)
    expect(by(6)).toBeCloseTo(2 * by(3), 9)
    expect(by(3)).toBeLessThan(standard(watts('A', bench, undefined).x))
    expect(standard(watts('A', { ...bench, u: 0.1 }, { ratio: 0.5, percent: 3 }).x)).toBeGreaterThan(by(3))
  })

  it('lie within what the bound allows, for any ripple a load of that power factor can make', () => {
    fc.assert(
      fc.property(positive(1, 100), positive(1e-4, 0.05), positive(0, 0.71), (amps, resistance, ratio) => {
        const bench = { volts: 24, amps, resistance }
        const [seen, bounded] = [
          watts('A', bench, { ratio, percent: 0 }).x.value,
          watts('A', bench, undefined).x,
        ]
        const half = Math.sqrt(3) * standard(bounded)
        expect(Math.abs(seen - bounded.value)).toBeLessThanOrEqual(half * (1 + 1e-9) + 1e-12)
      }),
    )
  })
})
