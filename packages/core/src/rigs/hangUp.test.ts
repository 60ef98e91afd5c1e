import { meterFromLine } from '../meters'
import { hangUp } from '.'

let made = 0
const read = (line: string) => meterFromLine(line, () => `id ${made++}`)

describe('meters as testers hang them up', () => {
  const meters = ['multimeter', 'clamp', 'plug wattmeter'].map((line, i) => ({
    id: `m${i}`,
    ranges: read(line)?.ranges ?? [],
  }))
  const hung = (volts: Parameters<typeof hangUp>[1], some = meters) =>
    hangUp(some, volts).map(({ quantity, meter }) => `${quantity} ${meter}`)

  it('are at the posts, in the leads and at the outlet', () => {
    expect(hung('the posts')).toEqual(['V_A m0', 'I m1', 'V_C m2', 'I_C m2', 'P_C m2', 'PF m2', 'f m2'])
    expect(hung('both').slice(0, 2)).toEqual(['V_A m0', 'V_B m0'])
    expect(hung('the terminals')[0]).toBe('V_B m0')
  })

  it('never puts a hand-held meter of 10 A into the leads, and needs no ammeter', () => {
    expect(hung('the posts', meters.slice(0, 1))).toEqual(['V_A m0', 'V_C m0'])
    expect(hung('the posts', [])).toEqual([])
  })

  it('asks a small DC wattmeter for watts, and a large one for amps', () => {
    const small = {
      id: 'w',
      ranges:
        read('DC wattmeter 30 W 1 % + 2')?.ranges.map((range) => ({
          ...range,
          upTo: Math.min(30, range.upTo),
        })) ?? [],
    }
    expect(hung('the terminals', [small])).toContain('P_B w')
    const large = { id: 'w', ranges: read('DC wattmeter')?.ranges ?? [] }
    expect(hung('the terminals', [large])).toEqual(['V_B w', 'I w'])
  })
})
