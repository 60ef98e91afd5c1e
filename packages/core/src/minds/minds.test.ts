import type { Entry, StoredUnit } from '@even-watt/contract'
import fc from 'fast-check'
import { ladderEntry, noLoadEntry, revisionOf, trialOf, unitOf } from '../../test/makers'
import { viewTrial } from '../view'
import { equipment, whoMinds } from '.'

const look = (entries: Entry[], unit: Partial<StoredUnit> = {}, mains?: { volts: number; hertz: number }) => {
  const [analysis] = viewTrial(trialOf([revisionOf({ unit: unitOf(unit) })]), entries).analyses
  if (!analysis) throw new Error('No rig.')
  const all = whoMinds({ analysis, mains })
  return (kind: string) => {
    const found = all.find((one) => one.kind.startsWith(kind))
    if (!found) throw new Error(`No such kind: ${kind}.`)
    return found
  }
}
const clean = [
  noLoadEntry({ V_C: 231, f: 50, THD: 0.01 }),
  ladderEntry({ V_C: 228, f: 50, THD: 0.015, P_C: 500, V_B: 25, I: 22 }),
]

describe('which equipment minds', () => {
  it('is none but what counts the hertz to a thousandth, on a clean sine near nominal', () => {
    const of = look(clean)
    for (const kind of ['heaters', 'motors', 'microwave', 'dimmers'])
      expect(of(kind).says).toBe('does not mind')
    expect(of('clocks').says).toBe('may mind')
  })

  it('is held against the mains of the place: 220 V are short by 8.3 % of 240 V', () => {
    const low = [noLoadEntry({ V_C: 220, f: 50, THD: 0.01 })]
    const of = look(low, {}, { volts: 240, hertz: 50 })
    expect(of('laser printers').says).toBe('minds')
    expect(of('laser printers').why[0]).toMatch(/^Its volts stand 8\.3 ± [\d.]+ % below the mains here: /)
    expect(of('heaters').says).toBe('does not mind')
    expect(look(low, {}, { volts: 230, hertz: 50 })('laser printers').says).toBe('may mind')
  })

  it('takes the lowest volts of the loads that were carried', () => {
    const of = look([
      ...clean,
      ladderEntry({ V_C: 198, f: 50, THD: 0.02, P_C: 1200, V_B: 24, I: 60 }),
      ladderEntry({ V_C: 120, f: 50, P_C: 1500, V_B: 22, I: 80 }, { end: 'tripped' }),
    ])
    expect(of('heaters').says).toBe('minds')
    expect(of('heaters').why).toHaveLength(1)
    expect(of('heaters').why[0]).toMatch(/13\.9.* % below its nominal volts/)
  })

  it('is what a stepped wave harms, by the label alone too; heaters do not mind it', () => {
    const of = look([noLoadEntry({ V_C: 229, f: 50 })], { wave: 'stepped' })
    expect(of('small supplies').says).toBe('minds')
    expect(of('small supplies').why[0]).toMatch(/^By its label its wave is stepped: the steep edges/)
    expect(of('heaters').says).toBe('does not mind')
  })

  it('is not known by a label that says sine', () => {
    const of = look([noLoadEntry({ V_C: 230, f: 50 })], { wave: 'sine' })
    expect(of('microwave')).toMatchObject({
      says: 'not known',
      why: ['Only its label says sine. Capture it, or read its THD.'],
    })
    expect(of('heaters').says).toBe('does not mind')
  })

  it('is not known while nothing was read, and says what to read', () => {
    const of = look([], { wave: 'unstated' })
    expect(of('heaters')).toMatchObject({ says: 'not known', why: ['Its output volts were not read.'] })
    expect(of('microwave').why).toContain('Its wave was not seen. Capture it, or read its THD.')
  })

  it('grows, and never shrinks, as the volts fall away', () => {
    const order = ['does not mind', 'may mind', 'minds']
    fc.assert(
      fc.property(
        fc.double({ min: 170, max: 225, noNaN: true }),
        fc.double({ min: 1, max: 50, noNaN: true }),
        (V, less) => {
          const at = (volts: number) => look([noLoadEntry({ V_C: volts, f: 50, THD: 0.01 })])
          for (const kind of ['heaters', 'motors', 'laser'])
            expect(order.indexOf(at(V - less)(kind).says)).toBeGreaterThanOrEqual(
              order.indexOf(at(V)(kind).says),
            )
        },
      ),
      { numRuns: 40 },
    )
  })

  it('names every kind once, with a limit under which a reason stands', () => {
    expect(new Set(equipment.map(({ kind }) => kind)).size).toBe(equipment.length)
    for (const { wants } of equipment) expect(Object.keys(wants).length).toBeGreaterThan(0)
  })
})
