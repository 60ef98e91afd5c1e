import { writtenDemo } from '@even-watt/bench/written'
import { promisedSupply, viewSupply } from '@even-watt/core'
import { dcMeters } from '../../meters/dcMeters'
import type { ChartTheme } from '../../ui/chart/theme'
import { lossesAt } from '../drawing/losses'
import { headroomChart } from './headroomChart'

const theme = new Proxy({} as ChartTheme, { get: (_, name) => String(name) })
const [l24, g12] = writtenDemo().rigs
if (!l24 || !g12) throw new Error('no demo')
const question = { alarm: 11, cutoff: 10.5, loss: (P: number) => P / 0.88 - P }

describe('the chart of headroom', () => {
  const view = viewSupply(g12, promisedSupply(g12), question)
  const option = headroomChart(view, question, 900, theme)
  const series = option.series as { data: unknown[]; lineStyle: { color: string } }[]

  it('falls in copper from rest to where the supply can no more', () => {
    const curve = series[0]?.data as [number, number][]
    expect(series[0]?.lineStyle.color).toBe('copper')
    expect(curve[0]?.[1]).toBeCloseTo(12.7, 6)
    expect(curve.map(([, V]) => V)).toEqual(curve.map(([, V]) => V).sort((a, b) => b - a))
  })

  it('has the alarm, the cutoff, the reach and the claim as lines', () => {
    expect(series).toHaveLength(5)
    expect((option.xAxis as { max: number }).max % 100).toBe(0)
    expect((option.xAxis as { max: number }).max).toBeGreaterThanOrEqual(945)
  })

  it('says nothing of a reach or a claim that is not known', () => {
    const bare = headroomChart(undefined, question, undefined, theme).series as unknown[]
    expect(bare).toHaveLength(3)
  })
})

describe('what a rig screen is given', () => {
  it('has a loss for every element, in the same watts as the drop and the current say', () => {
    const losses = lossesAt(l24, 50)
    expect(losses.size).toBe(l24.positive.length + l24.negative.length)
    for (const { watts } of losses.values()) expect(watts).toBeGreaterThan(0)
    const doubled = lossesAt(l24, 100)
    for (const [id, { watts }] of losses) expect(doubled.get(id)?.watts).toBeCloseTo(4 * watts, 9)
  })

  it('offers the DC meters of the rig, those at the posts first', () => {
    const { voltmeters, ammeters, usual } = dcMeters(l24, writtenDemo().meters)
    expect(voltmeters[0]).toEqual(['', 'no meter named'])
    expect(voltmeters.map(([, name]) => name)).toContain('Bench DMM 1')
    expect(ammeters.map(([, name]) => name)).not.toContain('Pocket meter')
    expect(usual.voltmeter).toBe(writtenDemo().meters.find(({ name }) => name === 'Bench DMM 1')?.id)
    expect(usual.ammeter).toBe(writtenDemo().meters.find(({ name }) => name === 'Shunt monitor')?.id)
    expect(dcMeters({ ...l24, assignments: [] }, []).usual).toEqual({
      voltmeter: '',
      ammeter: '',
      wattmeter: '',
    })
  })
})
