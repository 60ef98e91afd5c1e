import type { Claim, Entry } from '@even-watt/contract'
import { cleanLadder, ladderEntry, noLoadEntry, unitOf, uuid } from '../../../test/makers'
import { claimOf, verdictOn } from '../../../test/verdicts'

const idle = noLoadEntry({ V_B: 26.4, I: 10.4 / 26.4 })
const curve = [idle, ...cleanLadder()]
const step = (P_C: number, eta: number, more: object = {}) =>
  ladderEntry({ V_A: 25.9, V_B: 25.6, I: P_C / eta / 25.6, V_C: 230, P_C }, { load: `${P_C} W`, ...more })
const rated = { unit: { claims: [claimOf({ id: uuid(31), value: 1400 })] } }
const efficiency = (patch: Partial<Claim>, entries: readonly Entry[], revision: object = {}) =>
  verdictOn({ quantity: 'efficiency', value: 92, unit: '%', ...patch }, [...entries], revision)
const of = (...given: Parameters<typeof efficiency>) => {
  const { outcome, code, sentence } = efficiency(...given)
  expect(sentence).not.toMatch(/undefined|NaN/)
  return `${outcome}: ${code}`
}

describe('an efficiency at a load', () => {
  it.each([
    [1000, 'met: at its load'],
    // A twentieth beyond either end of 72 to 1400 W is still on the curve.
    [69, 'not met: at its load'],
    [68, 'not tested: no evidence'],
    [1469, 'met: at its load'],
    [1480, 'not tested: no evidence'],
  ])('of %i W on a curve from 72 to 1400 W: %s', (load, verdict) => {
    const found = of({ load }, curve).replace(/, within uncertainty/, '')
    expect(found).toBe(verdict)
  })
  it('is that of a step within a twentieth of it where there is no curve', () => {
    expect(of({ load: 1000 }, [step(1049, 0.95)])).toMatch(/met.*: at its load/)
    expect(of({ load: 1000 }, [step(951, 0.95)])).toMatch(/met.*: at its load/)
    expect(of({ load: 1000 }, [step(1050, 0.95)])).toBe('not tested: no evidence')
    expect(efficiency({ load: 1000 }, [step(1050, 0.95)]).sentence).toContain('no step near it')
    expect(efficiency({}, [idle]).sentence).toContain('no step has both')
  })
  it('says nothing of the range, which a promise at its best does', () => {
    expect(efficiency({ load: 1000 }, curve).sentence).not.toContain('holds')
    expect(efficiency({}, curve).sentence).toContain('holds from')
    expect(efficiency({ value: 99 }, curve).sentence).toContain('holds nowhere in the measured range')
    expect(efficiency({ value: 50 }, curve).sentence).toContain('the whole measured range')
    // 94.4 % is reached in the middle of the curve only.
    expect(efficiency({ value: 94 }, curve).sentence).toMatch(/; not below( or above)?\./)
  })
})

describe('an efficiency at its best without a curve', () => {
  const three = (...etas: number[]) => [200, 800, 1390].map((P, i) => step(P, etas[i] ?? 0.9))
  // Idle is not read, and the steps lie on no curve that has a peak.
  it.each<[string, Entry[], string]>([
    ['one step', [step(700, 0.8)], 'not shown: better elsewhere'],
    ['two steps', [step(200, 0.7), step(700, 0.8)], 'not shown: better elsewhere'],
    ['one step that is enough', [step(700, 0.96)], 'met: at its best'],
  ])('by %s', (_, entries, verdict) =>
    expect(of({}, entries, rated).replace(', within uncertainty', '')).toBe(verdict),
  )
  it('tells where it was looked for', () => {
    expect(efficiency({}, [step(700, 0.8)], rated).sentence).toContain('So few steps')
    expect(efficiency({}, [step(700, 0.8)], rated).wouldShow).toContain('1400 W')
    expect(efficiency({}, [step(700, 0.8)]).wouldShow).toContain('its rated load')
  })
  it('counts no step that was not carried', () => {
    const tripped = step(1000, 0.97, { end: 'tripped' })
    expect(of({}, [tripped])).toBe('not tested: no evidence')
    expect(efficiency({}, [tripped, step(700, 0.8)]).figure?.x.value).toBeCloseTo(0.8, 9)
    expect(efficiency({}, three(0.8, 0.85, 0.9)).figure?.x.value).toBeLessThan(0.95)
  })
})

describe('an efficiency read from the posts', () => {
  const posts = (P_C: number, eta: number) =>
    ladderEntry({ V_A: 25.9, I: P_C / eta / 25.9, V_C: 230, P_C }, { load: `${P_C} W` })
  it('shows a promise, for the unit alone is no worse, and breaks none', () => {
    expect(of({ load: 1000 }, [posts(1000, 0.96)])).toMatch(/^met.*: from the posts/)
    expect(of({}, [posts(1000, 0.96)])).toMatch(/^met.*: from the posts/)
    expect(of({ load: 1000 }, [posts(1000, 0.8)])).toBe('not shown: leads included')
    expect(of({ load: 1000 }, [posts(700, 0.96)])).toBe('not tested: no evidence')
    expect(efficiency({}, [posts(1000, 0.8)]).wouldShow).toContain('Read V_B')
  })
})

describe('verdicts of a claim', () => {
  const unit = { unit: unitOf() }
  it('are those that the tester set for this claim and rig only', () => {
    const cut = ladderEntry({ V_B: 25.6, I: 60, P_C: 1432, V_C: 229 }, { held: 100, end: 'stopped by hand' })
    expect(verdictOn({}, [cut], unit).limiter).toBe('time')
  })
  it('hold what decided, and nothing that they have not', () => {
    const none = verdictOn({ quantity: 'efficiency', value: 92, unit: '%' }, [idle])
    for (const field of ['figure', 'step', 'limiter', 'probability']) expect(none).not.toHaveProperty(field)
    expect(efficiency({ load: 1000 }, curve)).toMatchObject({ figure: { unit: '%' } })
  })
})

describe('search mode', () => {
  const draw = { quantity: 'search-mode draw', comparator: 'at most', value: 2, unit: 'W' } as const
  const searching = noLoadEntry({ V_B: 26, I: 0.05 }, { mode: 'search' })
  it('is its own reading, in watts or amps', () => {
    expect(verdictOn(draw, [searching]).outcome).not.toBe('not tested')
    expect(verdictOn({ ...draw, value: 0.2, unit: 'A' }, [searching]).figure?.unit).toBe('A')
    expect(verdictOn(draw, [searching]).figure?.unit).toBe('W')
    expect(verdictOn(draw, [idle])).toMatchObject({ outcome: 'not tested' })
    expect(verdictOn(draw, [noLoadEntry({ I: 0.05 }, { mode: 'search' })]).sentence).toContain(
      'search mode was not tested',
    )
    expect(verdictOn({ ...draw, unit: 'A' }, [idle]).sentence).not.toMatch(/^Draw in search mode is/)
  })
})
