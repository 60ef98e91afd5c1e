import { writtenDemo } from '@even-watt/bench/written'
import { asPlanned, frozenPlan, sayUses } from '.'

const { loads, trials } = writtenDemo()
const plan = trials[0]?.trial.plan
if (!plan) throw new Error('no plan')
const used = plan.steps.flatMap(({ uses }) => uses)
const setting = used[0]?.setting ?? ''
const taken = [{ setting, watts: 700, spread: 1, times: 3 }]

describe('a plan with its loads', () => {
  const frozen = frozenPlan(plan, { loads, taken })

  it('holds the loads of its steps and nothing else of the shelf', () => {
    expect(new Set(frozen.loads?.map(({ id }) => id))).toEqual(new Set(used.map(({ load }) => load)))
    expect(frozen.taken).toEqual(taken)
  })

  it('names its loads, and knows what they take, on a bench that has none of them', () => {
    const elsewhere = asPlanned(frozen, { loads: [], taken: [] })
    for (const { uses } of frozen.steps) expect(sayUses(elsewhere.loads, uses)).toBe(sayUses(loads, uses))
    expect(elsewhere.taken).toEqual(taken)
  })

  it('does not change with the shelf', () => {
    const renamed = loads.map((load) => ({ ...load, name: `${load.name}, renamed` }))
    const known = asPlanned(frozen, { loads: renamed, taken: taken.map((one) => ({ ...one, watts: 1 })) })
    for (const { uses } of frozen.steps) expect(sayUses(known.loads, uses)).toBe(sayUses(loads, uses))
    expect(known.taken).toEqual(taken)
    expect(known.loads).toHaveLength(loads.length)
  })

  it('saved again takes the shelf as it is, and keeps what is no longer on it', () => {
    const [first, ...rest] = loads.filter(({ id }) => used.some(({ load }) => load === id))
    const again = frozenPlan(frozen, { loads: rest.map((load) => ({ ...load, name: 'other' })), taken: [] })
    expect(again.loads?.map(({ name }) => name)).toEqual([...rest.map(() => 'other'), first?.name])
  })
})
