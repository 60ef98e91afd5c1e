import fc from 'fast-check'
import { blankLine, blankNeeds, readNeeds, type NeedsForm } from './form'

const form = (change: Partial<NeedsForm>): NeedsForm => ({ ...blankNeeds, ...change })
const line = (name: string, watts: string, hours: string, inrush = '') => ({ name, watts, hours, inrush })

describe('what an owner types', () => {
  it('is read as a person writes figures; what starts no harder than it runs is not asked about', () => {
    const { lines, faults } = readNeeds(
      form({
        lines: [line('freezer', '90', '7,5', '6'), line('lamp', '1.2k', '3', '1'), line(' ', '40', '2')],
      }),
    )
    expect(faults.size).toBe(0)
    expect(lines).toEqual([
      { name: 'freezer', watts: 90, hours: 7.5, inrush: 6 },
      { name: 'lamp', watts: 1200, hours: 3 },
      { name: 'load 3', watts: 40, hours: 2 },
    ])
  })

  it('that cannot be read is named at its field, and left out; the rest goes on', () => {
    const { lines, faults, battery, days } = readNeeds(
      form({ lines: [line('a', 'much', '25', '90'), line('b', '60', '4')], days: '-1', usable: '120' }),
    )
    expect([...faults.keys()].sort()).toEqual([
      'days',
      'lines.0.hours',
      'lines.0.inrush',
      'lines.0.watts',
      'usable',
    ])
    expect(faults.get('lines.0.hours')).toBe('From 0 to 24 h.')
    expect(lines[0]).toEqual({ name: 'a', watts: 0, hours: 0 })
    expect(lines[1]).toMatchObject({ watts: 60, hours: 4 })
    expect(battery.usable).toBe(0.8)
    expect(days).toBe(1)
  })

  it('of a bank: usable as a share, no limit where none is stated, leads in any unit of length', () => {
    const { battery, length } = readNeeds(form({ usable: '50', limit: '', length: '4 ft' }))
    expect(battery).toEqual({ volts: 12.8, capacity: 100, usable: 0.5, limit: undefined })
    expect(length).toBeCloseTo(1.2192, 9)
    expect(readNeeds(form({ length: 'far' })).faults.has('length')).toBe(true)
    expect(readNeeds(form({ length: '-2' })).length).toBe(1.2)
  })

  it('never breaks, and is never beyond what is accepted, whatever it is', () => {
    const typed = fc.oneof(fc.string({ maxLength: 12 }), fc.double().map(String), fc.constant('1e400'))
    const lines = fc.array(fc.record({ name: typed, watts: typed, hours: typed, inrush: typed }), {
      maxLength: 5,
    })
    fc.assert(
      fc.property(lines, typed, typed, typed, (some, days, volts, length) => {
        const read = readNeeds(form({ lines: some.length ? some : [blankLine], days, volts, length }))
        for (const { watts, hours, inrush } of read.lines) {
          expect(watts >= 0 && watts <= 100_000).toBe(true)
          expect(hours >= 0 && hours <= 24).toBe(true)
          expect(inrush === undefined || (inrush > 1 && inrush <= 50)).toBe(true)
        }
        expect(read.days > 0 && read.battery.volts > 0 && read.length > 0).toBe(true)
      }),
    )
  })
})
