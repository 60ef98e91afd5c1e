import { LimitReading, type LimitTest } from '@even-watt/contract'
import { surgeCurveOf, viewTrial } from '@even-watt/core'
import { writtenDemo } from '@even-watt/bench/written'
import { safeParse } from 'zod/mini'
import type { ChartTheme } from '../ui/chart/theme'
import { fieldsOfTest } from './fields'
import { surgeChart, surgeLegend, type Machine } from './surgeChart'

/** Something that fits a field of a form. */
const filled = (test: LimitTest) => ({
  test,
  ...Object.fromEntries(
    fieldsOfTest[test].map((field) => [
      field.name,
      field.is === 'number'
        ? 12
        : field.is === 'words'
          ? 'kettle'
          : field.is === 'tick'
            ? true
            : field.is === 'choice'
              ? field.of[0]
              : '',
    ]),
  ),
})

describe('the forms of limits', () => {
  it.each(Object.keys(fieldsOfTest) as LimitTest[])(
    'ask for all that a test of %s holds, and no more',
    (test) => {
      const read = safeParse(LimitReading, filled(test))
      expect(read.success).toBe(true)
      expect(read.success && Object.keys(read.data).sort()).toEqual(Object.keys(filled(test)).sort())
    },
  )

  it('offer every choice that is taken, and none that is not', () => {
    for (const test of Object.keys(fieldsOfTest) as LimitTest[])
      for (const field of fieldsOfTest[test])
        if (field.is === 'choice')
          for (const choice of field.of)
            expect(safeParse(LimitReading, { ...filled(test), [field.name]: choice }).success).toBe(true)
  })
})

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
