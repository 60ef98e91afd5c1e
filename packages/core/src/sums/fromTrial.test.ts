import { bankOf, ladderEntry, noLoadEntry, revisionOf, rigOf, trialOf, unitOf } from '../../test/makers'
import { claimOf } from '../../test/verdicts'
import { viewTrial } from '../view'
import { givenBy, giveWay } from './fromTrial'
import { sayFuses } from './fuses'
import { quantityOf, type QuantityId } from './quantities'
import { readQuantity } from './read'
import { sheetOf, type TypedQuantity } from './sheet'

const unit = unitOf({ claims: [claimOf({ quantity: 'continuous power', value: 1400, unit: 'W' })] })
const [analysis] = viewTrial(trialOf([revisionOf({ unit, rig: rigOf({ bank: bankOf() }) })]), [
  noLoadEntry({ V_A: 26.4, V_B: 26.4, I: 0.4, V_C: 231 }),
  ladderEntry({ V_A: 26.1, V_B: 25.9, I: 20, V_C: 230, P_C: 470 }),
  ladderEntry({ V_A: 25.8, V_B: 25.4, I: 40, V_C: 229, P_C: 930 }),
  ladderEntry({ V_A: 25.5, V_B: 24.9, I: 60, V_C: 228, P_C: 1370 }),
]).analyses
if (!analysis) throw new Error('No rig.')
const step = analysis.ladder.steps[2]

const typedOf = (id: QuantityId, text: string): TypedQuantity => {
  const read = readQuantity(text, new Set(), id)
  if (!read.ok) throw new Error(`${quantityOf(id).name}, ${text}: ${read.why}`)
  return read.typed
}
const given = givenBy(analysis, step)
const sheet = given.map(({ id, text }) => typedOf(id, text))
const value = (id: QuantityId, of: readonly TypedQuantity[]) => {
  const { typed, follows } = sheetOf(of)
  return [...typed, ...follows].find((row) => row.id === id)?.x.value ?? NaN
}

describe('a sheet that a trial begins', () => {
  it('has what was measured, in words that the sheet reads, and comes to the step’s own amps', () => {
    expect(given.map(({ id }) => id)).toEqual(
      expect.arrayContaining(['watts', 'efficiency', 'rest', 'bankOhm', 'leadsOhm', 'rating', 'idleWatts']),
    )
    expect(sheetOf(sheet).clashes).toEqual([])
    expect(value('amps', sheet)).toBeCloseTo(60, 0)
    expect(value('terminals', sheet)).toBeCloseTo(24.9, 1)
  })

  it('begins without a step too', () => {
    expect(givenBy(analysis).map(({ id }) => id)).not.toContain('watts')
  })

  it('gives way to other leads: as on this rig, but 25 mm²', () => {
    const ids = new Set(given.map(({ id }) => id))
    const longer = [...sheet, typedOf('length', '1.2 m')]
    expect(giveWay(longer, ids, 'length')).toEqual([])
    const thicker = [...longer, typedOf('area', '25 mm²')]
    expect(giveWay(thicker, ids, 'area')).toEqual(['leadsOhm'])
    const left = thicker.filter(({ id }) => id !== 'leadsOhm')
    // 2 · 1.2 m of 25 mm² at 20 °C: 1.66 mΩ
    expect(value('leadsOhm', left)).toBeCloseTo(0.00166, 4)
    expect(value('amps', left)).toBeLessThan(60)
  })

  it('leaves alone what contradicts by itself', () => {
    const own = [typedOf('rest', '12 V'), typedOf('watts', '100 W'), typedOf('wattsIn', '90 W')]
    const both = [...own, typedOf('efficiency', '50 %')]
    expect(giveWay(both, new Set(), 'efficiency')).toEqual([])
  })
})

describe('fuses of a sheet', () => {
  const of = (...lines: readonly (readonly [QuantityId, string])[]) =>
    sayFuses(sheetOf(lines.map(([id, text]) => typedOf(id, text))))

  it('are the usual sizes between the load and the leads', () => {
    // 1.25 · 100 A = 125 A; 25 mm² carries 170 A.
    expect(of(['amps', '100 A'], ['area', '25 mm²'])).toMatch(/: 125 A, 150 A/)
  })

  it('are none where the leads carry less than the load asks for, and it says what to change', () => {
    expect(of(['amps', '200 A'], ['area', '16 mm²'])).toMatch(/^No fuse fits: .*Thicker leads/)
  })

  it('are not told while either is not known', () => expect(of(['amps', '100 A'])).toBeUndefined())
})
