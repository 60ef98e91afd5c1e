import fc from 'fast-check'
import { describeBank } from '../supply'
import { leadsResistance, promisedSupply, rigFromLine, withLeads } from '.'

let made = 0
const read = (line: string) => rigFromLine(line, () => `id ${made++}`)

describe('a rig from one line', () => {
  it('takes what is said, and knows nothing of what is not', () => {
    const { rig, understood } = read('12 V 100 Ah AGM, leads as supplied, fuse 100 A')
    if (!rig) throw new Error('no rig')
    expect(understood).toEqual(['12 V 100 Ah AGM', 'leads not known', 'fuse 100 A'])
    expect(rig.leads).toBe('not known')
    expect(promisedSupply(rig)).toMatchObject({
      R_path: { missing: expect.stringContaining('not described') as string },
      R_bank: { missing: expect.stringContaining('load test') as string },
    })
  })

  it.each([
    ['24 V', '24 V battery', 'leads not known', 'no fuse named'],
    [
      '2 x 12,8V 150Ah LiFePO4, leads 25 mm² 1.2 m, breaker 100 A, charger 30 A',
      '2 × 12.8 V 150 Ah lithium iron phosphate',
      'leads 25 mm², 1.2 m each',
      'breaker 100 A',
      'charger 30 A',
    ],
    [
      '12V lead 95 Ah; 4 AWG cable 3 ft; no fuse',
      '12 V 95 Ah flooded lead-acid',
      'leads 4 AWG (21.2 mm²), 0.9144 m each',
      'no fuse named',
    ],
  ])('%s', (line, bank, ...others) => {
    const { understood, fault, rig } = read(line)
    expect(fault).toBeUndefined()
    expect(rig && describeBank(rig.bank)).toContain(bank.replace('2 × ', ''))
    expect(understood.slice(1)).toEqual(others)
  })

  it.each([
    ['', 'say at least the volts'],
    ['fuse 100 A', 'say at least the volts'],
    ['12 V, fuse', '"fuse": of how many amps?'],
    ['12 V, leads 16 mm², fuse 100 A', 'how long is each?'],
    ['12 V, leads 16 mm 1 m', 'is 16 mm² meant?'],
    ['12 V, banana', '"banana" is not understood. Write it like'],
    ['12 V 0 Ah', '0 Ah is no bank'],
    ['x'.repeat(300), '200 characters at most'],
  ])('"%s" is answered in a sentence', (line, why) => {
    const { fault, rig } = read(line)
    if (why === undefined) expect(rig?.leads).toBe('not known')
    else expect(fault).toContain(why)
  })

  it('takes leads that are said later, at the end of each side, and refuses what is no size and length', () => {
    const { rig } = read('12 V 100 Ah AGM, leads as supplied, fuse 100 A')
    if (!rig) throw new Error('no rig')
    const known = withLeads(rig, '16 mm² 1 m', () => `id ${made++}`)
    if (typeof known === 'string') throw new Error(known)
    expect(known.leads).toBeUndefined()
    expect(known.positive.map(({ kind }) => kind)).toEqual(['fuse', 'cable'])
    // As from one line: 2 m of 16 mm² copper are 2.2 mΩ, some more by its strands and ends.
    const whole = read('12 V 100 Ah AGM, leads 16 mm² 1 m, fuse 100 A').rig
    expect(leadsResistance(known)).toBe(whole && leadsResistance(whole))
    expect(leadsResistance(known)).toBeGreaterThan(0.0021)
    expect(leadsResistance(known)).toBeLessThan(0.0025)
    for (const wrong of ['thick', '16 mm²', '', '1 m'])
      expect(withLeads(rig, wrong, () => 'id')).toContain('Write it like "16 mm² 1 m".')
  })

  it('asks whether square millimetres are meant, where a size has none', () => {
    expect(read('12 V 100 Ah AGM, leads 16 mm 1 m').fault).toMatch(/^"16 mm" is a length: is 16 mm² meant\?/)
  })

  it('answers anything that is typed', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 250 }), (line) => {
        const { rig, fault } = read(line)
        expect(rig === undefined).toBe(fault !== undefined)
      }),
    )
  })
})
