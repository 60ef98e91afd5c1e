import fc from 'fast-check'
import {
  combine,
  covariance,
  linearForms,
  ownCovariance,
  ownSource,
  specificationSource,
  splitOf,
  standard,
  type Uncertain,
} from '.'

/** Not so small that its square is no number any more. */
const sensitivity = fc.double({ min: -3, max: 3, noNaN: true }).map((x) => (Math.abs(x) < 1e-100 ? 0 : x))
const input = fc.record({
  factor: sensitivity,
  own: sensitivity,
  gains: fc.tuple(sensitivity, sensitivity, sensitivity),
})

describe('results linear in many readings', () => {
  it('keep the variances and covariances of the long way round, in as many sources as there are results', () => {
    fc.assert(
      fc.property(fc.array(input, { minLength: 1, maxLength: 30 }), (inputs) => {
        const readings = inputs.map(({ factor, own, gains }, i) => {
          const x: Uncertain = {
            value: 0,
            sources: new Map([
              [specificationSource('m', 'r'), factor],
              [ownSource('V', String(i)), own],
            ]),
          }
          return [x, gains] as const
        })
        const forms = linearForms(
          readings.map(([x, gains]) => [splitOf(x), gains] as const),
          3,
          'test',
        )
        const long = [0, 1, 2].map((k) =>
          combine(
            0,
            readings.map(([x, gains]) => [x, gains[k] ?? 0] as const),
          ),
        )
        const short = forms.map((sources) => ({ value: 0, sources }))
        short.forEach((x, i) => {
          expect(x.sources.size).toBeLessThanOrEqual(4)
          short.forEach((y, j) => {
            const expected = covariance(long[i] ?? x, long[j] ?? y)
            const scale = standard(long[i] ?? x) * standard(long[j] ?? y) + 1e-9
            expect(Math.abs(covariance(x, y) - expected) / scale).toBeLessThan(1e-6)
          })
        })
      }),
    )
  })

  it('know what two values have in common by one reading of their own', () => {
    const [own, spec] = [ownSource('P', '1'), specificationSource('m', 'r')]
    const x = {
      value: 1,
      sources: new Map([
        [own, 2],
        [spec, 3],
      ]),
    }
    const y = {
      value: 1,
      sources: new Map([
        [own, -0.5],
        [spec, 7],
      ]),
    }
    expect(ownCovariance(x, y)).toBe(-1)
    expect(splitOf(x)).toEqual({ own: 4, shared: [[spec, 3]] })
  })

  it('take in scatter that no source explains', () => {
    const [one] = linearForms([], 1, 'test', [[0.25]])
    expect([...(one?.values() ?? [])]).toEqual([0.5])
  })
})
