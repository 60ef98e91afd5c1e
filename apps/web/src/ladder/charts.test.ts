import { writtenDemo } from '@even-watt/bench/written'
import { viewTrial } from '@even-watt/core'
import type { ChartTheme } from '../ui/chart/theme'
import { efficiencyChart } from './efficiencyChart'
import { lossChart } from './lossChart'

const theme = new Proxy({}, { get: (_, key) => String(key) }) as ChartTheme
const [ottrel] = writtenDemo().trials
if (!ottrel) throw new Error('no demo')
const view = viewTrial(ottrel.trial, ottrel.entries)
const [first, second] = view.analyses
if (!first || !second) throw new Error('no analysis')

type Series = { type: string; data: unknown[]; lineStyle?: { type?: string; color?: string } }
const seriesOf = (option: { series?: unknown }) => option.series as Series[]

describe('the efficiency chart', () => {
  const option = efficiencyChart(
    { analyses: view.analyses, chosen: second, chosenStep: second.ladder.steps[3]?.step.id, claim: 0.92 },
    theme,
  )

  it('draws every measured step with its error bar, and the chosen one apart', () => {
    const points = seriesOf(option).find((series) => series.type === 'scatter')
    expect(points?.data).toHaveLength(second.ladder.steps.length)
    const chosen = (points?.data as { key: string; itemStyle: { color: string } }[]).filter(
      (point) => point.itemStyle.color === 'ink',
    )
    expect(chosen.map((point) => point.key)).toEqual([second.ladder.steps[3]?.step.id])
    // One bar with all that is uncertain, one inside it without what the readings have in common.
    const bars = seriesOf(option).find((series) => series.type === 'custom')?.data as number[][]
    expect(bars).toHaveLength(2 * second.ladder.steps.length)
    const height = (inner: number) =>
      bars.filter((bar) => bar[3] === inner).map(([, low = 0, high = 0]) => high - low)
    height(1).forEach((within, i) => expect(within).toBeLessThan(height(0)[i] ?? 0))
  })

  it('draws both revisions over each other, the system dashed, the claim dotted', () => {
    const dashed = seriesOf(option).filter(
      (series) => series.lineStyle?.type === 'dashed' && series.lineStyle.color === 'copper',
    )
    expect(dashed).toHaveLength(2)
    expect(
      seriesOf(option).some(
        (series) => series.lineStyle?.type === 'dotted' && series.lineStyle.color === 'ink',
      ),
    ).toBe(true)
  })

  it('keeps every point inside its axes, and text of people out of its markup', () => {
    const x = option.xAxis as { max: number }
    const y = option.yAxis as { min: number; max: number }
    for (const { value } of seriesOf(option).find((series) => series.type === 'scatter')?.data as {
      value: [number, number]
    }[]) {
      expect(value[0]).toBeLessThanOrEqual(x.max)
      expect(value[1]).toBeGreaterThan(y.min)
    }
    const nasty = ottrel.entries.map((entry) =>
      entry.kind === 'ladder' ? { ...entry, reading: { ...entry.reading, load: '<img src=x>' } } : entry,
    )
    const [analysis] = viewTrial(ottrel.trial, nasty).analyses
    if (!analysis) throw new Error('no analysis')
    const said = JSON.stringify(
      seriesOf(
        efficiencyChart(
          { analyses: [analysis], chosen: analysis, chosenStep: undefined, claim: undefined },
          theme,
        ),
      ),
    )
    expect(said).not.toContain('<img')
  })

  it('stands with a single step, without a curve', () => {
    const few = ottrel.entries.filter((entry) => entry.kind === 'ladder').slice(0, 1)
    const [analysis] = viewTrial(ottrel.trial, few).analyses
    if (!analysis) throw new Error('no analysis')
    const lonely = efficiencyChart(
      { analyses: [analysis], chosen: analysis, chosenStep: undefined, claim: 0.92 },
      theme,
    )
    expect(seriesOf(lonely).filter((series) => series.type === 'scatter')).toHaveLength(1)
  })
})

describe('the loss chart', () => {
  const option = lossChart(first, undefined, theme)

  it('stacks unit, leads and joints to what each step lost between A and C', () => {
    const bars = seriesOf(option).map((series) => series.data as { value: number }[])
    expect(bars).toHaveLength(3)
    first.ladder.steps.forEach((step, i) => {
      const sum = bars.reduce((total, bar) => total + (bar[i]?.value ?? 0), 0)
      const lost = 'x' in step.P_systemLoss ? step.P_systemLoss.x.value : NaN
      // Rounding of V_A and V_B may leave a joint slightly negative at small loads: it is drawn as nothing.
      expect(Math.abs(sum - lost)).toBeLessThan(0.05)
    })
  })

  it('begins at zero, for the length of a bar is its size', () => {
    expect((option.yAxis as { min: number }).min).toBe(0)
  })
})
