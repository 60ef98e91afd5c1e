import fc from 'fast-check'
import { measured, meterFromLine, meterKinds, standard, typicalMeter } from '.'

let made = 0
const newId = () => `id ${made++}`
const read = (line: string) => meterFromLine(line, newId)
const rangeOf = (line: string, reads: string) => read(line)?.ranges.find((range) => range.reads === reads)

describe('a meter from one line', () => {
  it('takes kind, full scale and accuracy', () => {
    expect(rangeOf('clamp 400 A 2 % + 3', 'DC current')).toMatchObject({
      upTo: 400,
      percent: 2,
      counts: 3,
      count: 0.1,
    })
    expect(rangeOf('clamp 1000 A 2.5%', 'DC current')).toMatchObject({
      upTo: 1000,
      percent: 2.5,
      counts: 0,
      count: 1,
    })
    expect(rangeOf('plug wattmeter 0,5 % + 1', 'active power')).toMatchObject({ percent: 0.5, counts: 1 })
    expect(rangeOf('my multimeter 0.5 % + 2', 'DC voltage')).toMatchObject({ percent: 0.5, counts: 2 })
  })

  it('leaves all else as is typical of its kind, and says so only where no accuracy is given', () => {
    expect(read('clamp')).toMatchObject({ name: 'clamp', typical: true, needsZeroing: true })
    expect(read('clamp 2 % + 3')?.typical).toBeUndefined()
    expect(rangeOf('multimeter 0.5 % + 2', 'AC voltage')).toMatchObject({ percent: 1.5, response: 'average' })
  })

  it('knows every kind by its own name, none of which is said to stand a stepped wave', () => {
    for (const kind of meterKinds) {
      expect(read(kind)?.ranges).toMatchObject(
        typicalMeter(kind, () => '').ranges.map((range) => ({ ...range, id: expect.any(String) as string })),
      )
      expect(typicalMeter(kind, newId).ranges.some(({ standsSteppedWave }) => standsSteppedWave)).toBe(false)
    }
  })

  it('does not guess what kind is meant, whatever is typed', () => {
    expect(read('blue thing')).toBeUndefined()
    fc.assert(
      fc.property(fc.string(), (line) => {
        for (const { upTo, count, percent } of read(`clamp ${line}`)?.ranges ?? []) {
          expect(upTo > 0 && count > 0 && percent >= 0 && percent <= 100).toBe(true)
        }
      }),
    )
  })

  it('is typically wider than a bench meter: 25.6 V to a third of a volt rather than a twentieth', () => {
    const range = typicalMeter('hand-held meter, 3½ digits', newId).ranges.find(({ upTo }) => upTo === 200)
    if (!range) throw new Error('no range')
    expect(2 * standard(measured({ values: [25.6], spread: 0 }, 'm', range, 'V', 'x'))).toBeGreaterThan(0.3)
  })
})
