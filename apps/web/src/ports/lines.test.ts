import fc from 'fast-check'
import { readLoaded, readOffers, readPoints } from './lines'

describe('figures typed line by line', () => {
  it('are pairs, with commas or points, set apart by blanks, tabs or semicolons, with headings or without', () => {
    const read = [
      { amps: 0.5, volts: 5.08 },
      { amps: 1, volts: 5.02 },
    ]
    for (const text of [
      '0.5 5.08\n1.0 5.02',
      '0,5\t5,08\r\n1\t5,02\n',
      'A;V\n0,5;5,08\n1;5,02',
      '0.5A 5.08V\n\n1 5.02',
    ])
      expect(readPoints(text)).toEqual({ read })
  })
  it('name the line that cannot be read', () => {
    expect(readPoints('0.5 5.08\n1.0')).toEqual({ why: 'Line 2: amps, then volts, as in “1.0 5.02”.' })
    expect(readLoaded('20 1.5')).toHaveProperty('why')
  })
  it('say which offers were given, and which ports were loaded', () => {
    expect(readOffers('5 3\n20 2.25 given')).toEqual({
      read: [
        { volts: 5, amps: 3 },
        { volts: 20, amps: 2.25, given: true },
      ],
    })
    expect(readLoaded('second USB-A 5.1 2')).toEqual({
      read: [{ port: 'second USB-A', volts: 5.1, amps: 2 }],
    })
  })
  it('never fail on what a stranger pastes', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 300 }), (text) => {
        for (const read of [readPoints, readOffers, readLoaded])
          expect(Object.keys(read(text))).toHaveLength(1)
      }),
    )
  })
})
