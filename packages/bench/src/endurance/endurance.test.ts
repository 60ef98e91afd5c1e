import { corrickModel } from '../scenario/station'
import { runBank, type ParallelModel } from './bank'
import { runStation } from './station'
import { fullStore, stepStore, type StoreModel } from './store'

describe('a station that is run down', () => {
  const slow = runStation(corrickModel, { load: 300 })
  const quick = runStation(corrickModel, { load: 800 })

  it('balances what its cells gave with what came out and was lost, to 0.1 %', () => {
    for (const { cells, out, lost } of [slow, quick])
      expect(Math.abs(cells - out - lost) / cells).toBeLessThan(0.001)
  })
  it('gives what the scenario says of it', () => {
    expect(slow.out).toBeCloseTo(871, -1)
    expect(quick.out).toBeCloseTo(812, -1)
  })
  it('stops by heat at 51 minutes of 800 W, comes back, and ends on its low cell', () => {
    const hot = quick.moments.findIndex(({ state }) => state === 'hot')
    expect((quick.moments[hot]?.at ?? 0) / 60).toBeCloseTo(51, 0)
    expect(quick.moments.slice(hot).some(({ state }) => state === 'on')).toBe(true)
    expect(quick.moments.at(-1)?.state).toBe('empty')
    expect(slow.moments.some(({ state }) => state === 'hot')).toBe(false)
  })
  it('has a gauge that reads 9 points high at half charge', () => {
    const half = slow.moments.find(({ left }) => left <= 0.5)
    expect((half?.shown ?? 0) - (half?.left ?? 0)).toBeCloseTo(0.09, 2)
  })
})

const agm = (capacity: number, R0: number): StoreModel => ({
  kind: 'lead',
  cells: 6,
  capacity,
  weak: 1,
  R0,
  R1: R0,
  tau: 600,
  cutoff: 1.7,
  limit: 500,
})

describe('batteries side by side', () => {
  it('share by their resistances, and the tired one’s lack of Ah ends it', () => {
    const three: ParallelModel = {
      batteries: [agm(60, 0.017), agm(90, 0.006), agm(90, 0.0064)],
      link: 0.0002,
      positiveAt: 0,
      negativeAt: 2,
    }
    const moments = runBank(three, 400, 10.8, 20)
    const first = moments[0]
    expect((first?.amps[1] ?? 0) / (first?.amps[0] ?? 1)).toBeGreaterThan(1.8)
    const sum = first?.amps.reduce((total, amps) => total + amps, 0) ?? 0
    expect(sum * (first?.volts ?? 0)).toBeCloseTo(400, 0)
    expect(moments.at(-1)?.volts).toBeLessThan(10.9)
  })
  it('charges a store by a current that goes in', () => {
    const { state } = stepStore(agm(95, 0.006), { ...fullStore, drawn: 20 }, -10, 3600)
    expect(state.drawn).toBeCloseTo(10, 9)
  })
})
