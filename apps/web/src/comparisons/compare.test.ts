import { writtenDemo } from '@even-watt/bench/written'
import { named, viewTrial, type Compared } from '@even-watt/core'
import fc from 'fast-check'
import type { ChartTheme } from '../ui/chart/theme'
import { curveChart, curveLines } from './curveChart'
import { linesLegend } from './lines'
import { beside, pickedIn } from './picked'

const id = (n: number) => `0192e4a0-0000-7000-8000-${String(n).padStart(12, '0')}`
const theme = new Proxy({}, { get: (_, name) => String(name) }) as ChartTheme

const demo = (begins: string): Omit<Compared, 'name'> => {
  const found = writtenDemo().trials.find(({ trial }) => trial.title.startsWith(begins))
  if (!found) throw new Error(`no trial of ${begins}`)
  const { analyses, findings } = viewTrial(found.trial, found.entries)
  const analysis = analyses.at(-1)
  if (!analysis) throw new Error('no analysis')
  return { trial: found.trial, analysis, findings }
}

describe('what an address asks to be compared', () => {
  it('is trials with their rigs; what is no trial is left out', () => {
    expect(pickedIn(`?of=${id(1)}.1,${id(2)}.3`)).toEqual([
      { trial: id(1), revision: 1 },
      { trial: id(2), revision: 3 },
    ])
    expect(pickedIn('')).toEqual([])
    expect(pickedIn(`?of=${id(1)},nonsense.2,${id(2)}.0,${id(3)}.2`)).toEqual([{ trial: id(3), revision: 2 }])
  })
  it('is eight at most, whatever the address says', () => {
    fc.assert(
      fc.property(fc.string(), fc.integer({ min: 0, max: 40 }), (noise, n) => {
        const many = Array.from({ length: n }, (_, i) => `${id(i)}.1`).join(',')
        expect(pickedIn(`?of=${many}`)).toHaveLength(Math.min(8, n))
        expect(pickedIn(noise).length).toBeLessThanOrEqual(8)
      }),
    )
  })
})

describe('one more laid beside the others', () => {
  it('is the newest rig of a trial, and the newest that does not stand there yet', () => {
    const line = { id: id(1), revisions: 3 }
    const first = beside([], line)
    const second = beside(first, line)
    const third = beside(second, line)
    expect(third.map(({ revision }) => revision)).toEqual([3, 2, 1])
    // All of them stand there: the newest again, which is then said.
    expect(beside(third, line).at(-1)).toEqual({ trial: id(1), revision: 3 })
    expect(beside(third, { id: id(2), revisions: 1 }).at(-1)).toEqual({ trial: id(2), revision: 1 })
  })
})

describe('curves over each other', () => {
  const list = named([demo('Ottrel 1400-24 for'), demo('Ottrel 1400-24 rev C'), demo('Pellam 900-12, first')])
  const seriesOf = (kind: 'efficiency' | 'losses') => {
    const { series } = curveChart(list, kind)(theme)
    return (Array.isArray(series) ? series : []) as {
      data: { value: [number, number]; said: string }[]
      lineStyle: { color: string; type: string }
    }[]
  }
  it('are those that there are, each over what was measured of it, told apart and named', () => {
    const efficiency = seriesOf('efficiency')
    expect(efficiency).toHaveLength(2)
    expect(linesLegend(curveLines(list, 'losses'))(theme).map(({ words }) => words)).toEqual([
      'Ottrel 1400-24',
      'Ottrel 1400-24 rev C',
    ])
    expect(new Set(efficiency.map(({ lineStyle }) => JSON.stringify(lineStyle))).size).toBe(2)
    for (const { data } of efficiency) {
      expect(data[0]?.value[0]).toBeGreaterThan(50)
      expect(data.at(-1)?.value[0]).toBeLessThan(1500)
      for (const { value, said } of data) {
        expect(value[1]).toBeGreaterThan(0)
        expect(value[1]).toBeLessThan(100)
        expect(said).toMatch(/^Ottrel 1400-24.*: .* W, .* %$/)
      }
    }
  })
  it('agree with each other: what is lost is what does not reach the outlet', () => {
    const [efficiency, losses] = [seriesOf('efficiency'), seriesOf('losses')]
    efficiency.forEach(({ data }, k) =>
      data.forEach(({ value: [P, eta] }, i) => {
        const lost = losses[k]?.data[i]?.value[1] ?? NaN
        expect((100 * P) / (P + lost)).toBeCloseTo(eta, 6)
      }),
    )
  })
  it('of units without any are an empty frame, not a fault', () => {
    const { series } = curveChart(named([demo('Pellam 900-12, first')]), 'efficiency')(theme)
    expect(series).toEqual([])
  })
})
