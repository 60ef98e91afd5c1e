import { surgeCurveOf, viewTrial } from '@even-watt/core'
import { writtenDemo } from '@even-watt/bench/written'
import type { ChartTheme } from '../ui/chart/theme'
import { surgeChart, surgeLegend, type Machine } from './surgeChart'

describe('the chart of surge and time', () => {
  const theme = new Proxy({}, { get: (_, name) => String(name) }) as ChartTheme
  const pellam = writtenDemo().trials.find(({ trial }) => trial.title.includes('marsh hut'))
  const analysis = pellam && viewTrial(pellam.trial, pellam.entries).analyses.at(-1)
  if (!analysis) throw new Error('no Pellam')
  const curve = surgeCurveOf(analysis)
  const { claims } = analysis.record.revision.unit
  const seriesOf = (inVA: boolean, machines: readonly Machine[] = []) =>
    (surgeChart(curve, claims, inVA, machines)(theme).series ?? []) as {
      data: unknown[]
      endLabel?: { formatter: string }
    }[]

  it('draws a promise without a time through all of them, and the rated power', () => {
    const words = seriesOf(false).flatMap(({ endLabel }) => endLabel?.formatter ?? [])
    expect(words).toEqual(['rated', 'promised'])
  })

  it('lays machines over it in VA only, those that ask for far more at its upper edge', () => {
    const machines = [{ name: 'winch <b>', VA: 90_000, by: 'code letter' }]
    expect(JSON.stringify(seriesOf(false, machines))).not.toContain('winch')
    const drawn = JSON.stringify(seriesOf(true, machines))
    expect(drawn).toContain('winch &#60;b&#62; asks for')
    expect(drawn).not.toContain('[1,90000]')
  })

  it('says in its legend what is there', () => {
    const words = (promised: Parameters<typeof surgeLegend>[0], machines: boolean) =>
      surgeLegend(promised, machines)(theme).map((entry) => entry.words)
    expect(words('none', false)).toHaveLength(2)
    expect(words('untimed', true)).toEqual(
      expect.arrayContaining(['promised, without a time', 'what machines of the shelf ask for']),
    )
  })
})
