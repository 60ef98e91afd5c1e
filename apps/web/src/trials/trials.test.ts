import { writtenDemo } from '@even-watt/bench/written'
import { pathLosses, readSource, viewTrial } from '@even-watt/core'
import { pathOf } from '../stage'
import { stages } from '../stages'
import { namesOf } from './naming'
import type { TrialState } from './useTrial'

const stateOf = (index: number, keep: (stage: string) => boolean = () => true): TrialState => {
  const document = writtenDemo().trials[index]
  if (!document) throw new Error('no demo')
  const entries = document.entries.filter((entry) => keep(entry.kind))
  const view = viewTrial(document.trial, entries)
  const analysis = view.analyses.at(-1)
  if (!analysis) throw new Error('no analysis')
  return {
    trial: document.trial,
    entries,
    view,
    worked: view,
    analysis,
    unsent: new Set(),
    chooseRevision: () => undefined,
  }
}

const said = (state: TrialState) =>
  Object.fromEntries(stages.map((stage) => [pathOf(stage), stage.state(state)]))

describe('the work order', () => {
  it('says in words how far each stage is', () => {
    expect(said(stateOf(0))).toMatchObject({
      'look-over': { said: '8 claims', done: 'whole' },
      rig: { said: '2 revisions', done: 'whole' },
      'no-load': { said: '10.4 W idle', done: 'whole' },
      ladder: { said: '7 steps', done: 'whole' },
      limits: { said: '11 tests', done: 'whole' },
      motors: { said: '6 attempts', done: 'whole' },
      findings: { said: '8 of 8 claims decided', done: 'whole' },
    })
    expect(said(stateOf(1))['ladder']).toEqual({ said: '2 steps, no curve yet', done: 'part' })
  })

  it('of an empty trial is not begun', () => {
    const empty = said(stateOf(0, () => false))
    expect(empty).toMatchObject({
      'no-load': { said: 'not read', done: 'none' },
      ladder: { said: 'no step yet', done: 'none' },
      limits: { said: 'not tested', done: 'none' },
      motors: { said: 'none yet', done: 'none' },
      findings: { done: 'none' },
    })
  })

  it('says when the unit’s origin is not disclosed', () => {
    const state = stateOf(0)
    const revisions = state.trial.revisions.map((revision) => ({
      ...revision,
      unit: { ...revision.unit, provenance: undefined },
    }))
    expect(said({ ...state, trial: { ...state.trial, revisions } })['look-over']).toEqual({
      said: '8 claims, where it came from is open',
      done: 'part',
    })
  })
})

describe('names of what stands behind a figure', () => {
  const { trial, entries, view } = stateOf(0)
  const { nameSource, nameEntry } = namesOf(trial, entries, stages)

  it('are known for every source of every figure', () => {
    for (const analysis of view.analyses) {
      for (const step of analysis.ladder.steps) {
        for (const figure of [
          step.eta_unit,
          step.eta_system,
          pathLosses(step, analysis.supply, analysis.record.revision.rig).leads.watts,
        ]) {
          if (!('x' in figure)) continue
          for (const source of figure.x.sources.keys()) {
            const name = nameSource(readSource(source))
            expect(name).toMatch(/specification \(common\)|reading \(independent\)|stranding/)
            expect(name).not.toMatch(/[0-9a-f]{8}-/)
          }
        }
      }
    }
  })

  it('tell readings by rig, load and time, and methods in words', () => {
    const entry = entries.find((candidate) => candidate.kind === 'ladder')
    expect(nameEntry(entry?.id ?? '')).toMatch(/^Rig 1, incubator mat, \d\d:\d\d:\d\d$/)
    expect(nameEntry('nowhere')).toBeUndefined()
    expect(nameSource({ kind: 'method', what: 'fan', where: 'x' })).toContain('fan may be in either state')
    expect(nameSource({ kind: 'own', what: 'fit 0', where: 'x' })).toContain('independent scatter')
  })
})
