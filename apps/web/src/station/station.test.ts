import { stationUnits } from '@even-watt/bench'
import { writtenDemo } from '@even-watt/bench/written'
import { viewTrial } from '@even-watt/core'
import { deliveredChart, deliveredLegend } from '../endurance/deliveredChart'
import { inputChart } from '../charging/inputChart'
import { portChart, portLegend } from '../ports/portChart'
import { inputPoints, sweepsOf } from '@even-watt/core'
import type { ChartTheme } from '../ui/chart/theme'
import { stationPath } from './path'

const corrick = writtenDemo().trials.find(({ trial }) => trial.title.startsWith('Corrick'))
if (!corrick) throw new Error('no Corrick in the demo')
const [analysis] = viewTrial(corrick.trial, corrick.entries).analyses
if (!analysis) throw new Error('no analysis')
const theme = new Proxy({}, { get: (_, name) => String(name) }) as ChartTheme

describe('the path of a station', () => {
  const path = stationPath(analysis)
  it('is as wide as the most that was read at each of its ends', () => {
    expect(path.input.watts).toBeCloseTo(242, 0)
    expect(path.outlet.watts).toBeCloseTo(800, -1)
    expect(path.ports.map(({ name }) => name)).toEqual(['USB-C', '12 V socket', 'USB-A'])
    expect(path.ports[0]?.watts).toBeCloseTo(42.7, 0)
    expect(path.store).toMatchObject({ label: 1040 })
    expect(path.store.roundTrip).toBeCloseTo(0.79, 1)
  })
  it('is not read yet where nothing was: no end has a figure', () => {
    const empty = viewTrial({ ...corrick.trial }, []).analyses[0]
    const bare = empty && stationPath(empty)
    expect(bare?.input.watts).toBeUndefined()
    expect(bare?.outlet.watts).toBeUndefined()
    expect(bare?.ports.map(({ watts }) => watts)).toEqual([undefined, undefined, undefined])
    expect(bare?.store.label).toBe(
      stationUnits.corrick.claims.find(({ quantity }) => quantity === 'energy')?.value,
    )
  })
})

describe('the charts of a station', () => {
  const drawn = (option: unknown) =>
    JSON.parse(JSON.stringify(option)) as {
      xAxis: { min: number; max: number }
      yAxis: { min: number; max: number }
      series: { data: unknown[] }[]
    }
  it('begin at zero where length means size, and end at round figures', () => {
    const { xAxis, yAxis } = drawn(
      deliveredChart(
        [
          { watts: 300, Wh: 871, stopped: false },
          { watts: 800, Wh: 812, stopped: true },
        ],
        1040,
      )(theme),
    )
    expect([xAxis.min, xAxis.max, yAxis.min, yAxis.max]).toEqual([0, 1000, 0, 1500])
    expect(deliveredLegend(true)(theme)).toHaveLength(3)
  })
  it('draw a port at itself and at the end of its lead, with its tolerance', () => {
    const usbA = sweepsOf(analysis.record).filter(({ reading }) => reading.port === 'USB-A')
    const { series, yAxis } = drawn(portChart(usbA)(theme))
    expect(series).toHaveLength(3)
    expect(yAxis.min).toBeLessThan(4.75)
    expect(portLegend(false)(theme)).toHaveLength(2)
  })
  it('draw what an input takes, against its promise', () => {
    const { series, xAxis } = drawn(inputChart(inputPoints(analysis.record), 210)(theme))
    expect(series[1]?.data).toHaveLength(7)
    expect(xAxis.max).toBeGreaterThanOrEqual(33)
  })
})
