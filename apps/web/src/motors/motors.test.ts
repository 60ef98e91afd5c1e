import { viewTrial } from '@even-watt/core'
import { writtenDemo } from '@even-watt/bench/written'
import { outletVolts, untriedFrom } from './tryNext'

const { loads, trials } = writtenDemo()
const analysisOf = (begins: string) => {
  const found = trials.find(({ trial }) => trial.title.startsWith(begins))
  const analysis = found && viewTrial(found.trial, found.entries).analyses.at(-1)
  if (!analysis) throw new Error(`no ${begins}`)
  return analysis
}

describe('what to try next', () => {
  it('is what was not tried on this rig, made for its volts, from light to heavy', () => {
    const names = untriedFrom(loads, analysisOf('Ottrel')).map(({ load }) => load.name)
    expect(names).toEqual(['bench centrifuge', 'sieve shaker'])
    const legs = untriedFrom(loads, analysisOf('Leg by leg'))
    // On a leg or between both: what is made for 230 V bears 240.
    expect(legs.map(({ load }) => load.name)).toEqual(
      expect.arrayContaining(['fume extractor', 'sieve shaker']),
    )
    expect(legs.map(({ load }) => load.name)).not.toContain('bilge pump')
    const none = untriedFrom(loads, analysisOf('Pellam 900-12, first'))
    expect(none.length).toBeGreaterThan(4)
    none.slice(1).forEach(({ asks }, i) => expect(asks).toBeGreaterThanOrEqual(none[i]?.asks ?? 0))
  })

  it('is found whatever the case of its name, and nothing is on an empty shelf', () => {
    const [shaker] = loads.filter(({ name }) => name === 'sieve shaker')
    if (!shaker) throw new Error('no shaker')
    const loud = { ...shaker, name: 'SAMPLE MILL' }
    expect(untriedFrom([loud], analysisOf('Ottrel'))).toEqual([])
    expect(untriedFrom([], analysisOf('Ottrel'))).toEqual([])
  })

  it('looks at one leg and at both of a split phase', () => {
    expect(outletVolts({ phase: 'split', outputVoltage: 240 } as never)).toEqual([120, 240])
    expect(outletVolts({ phase: 'split', outputVoltage: 120 } as never)).toEqual([120, 240])
    expect(outletVolts({ phase: 'single', outputVoltage: 230 } as never)).toEqual([230])
  })
})
