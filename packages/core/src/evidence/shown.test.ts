import fc from 'fast-check'
import {
  ladderEntry,
  meterOf,
  noLoadEntry,
  revisionOf,
  rigOf,
  trialOf,
  uuid,
  valuesOf,
} from '../../test/makers'
import { isFigure } from '../figures'
import { viewTrial } from '../view'
import { displayAgainst, readDisplay, sayDisplay, shouldLight, shownFields, typeShown } from '.'

describe('what is typed of a display', () => {
  it.each([
    ['231', 231, undefined],
    ['229 to 232', 230.5, 1.5],
    ['229–232', 230.5, 1.5],
    ['232-229', 230.5, 1.5],
    ['49.9 … 50.1', 50, 0.1],
    ['230 to 230', 230, undefined],
  ])('may jump: %s', (text, value, half) => {
    const { display, faults } = readDisplay({ outputVoltage: text })
    expect(faults).toEqual([])
    expect(display?.outputVoltage).toBe(value)
    expect(display?.jumps?.outputVoltage).toBe(half)
  })

  it('may be bars, with how many there are, and a charge in per cent', () => {
    expect(readDisplay({ loadBars: '3 of 5', chargeBars: '2/4', charge: '80 %' }).display).toEqual({
      loadBars: 3,
      loadBarsOf: 5,
      chargeBars: 2,
      chargeBarsOf: 4,
      charge: 0.8,
    })
  })

  it.each([
    [{ outputVoltage: 'about 230' }, /is not a number/],
    [{ outputVoltage: '-3' }, /from 0 up/],
    [{ outputVoltage: '-3 to 4' }, /from 0 up/],
    [{ outputVoltage: '1 to 2 to 3' }, /is not a number/],
    [{ loadBars: '6 of 5' }, /more bars than there are/],
    [{ charge: 'full' }, /is not a number/],
  ] as const)('is refused at its field: %j', (texts, why) => {
    const { display, faults } = readDisplay(texts)
    expect(display).toBeUndefined()
    expect(faults).toHaveLength(1)
    expect(faults[0]?.[0]).toBe(Object.keys(texts)[0])
    expect(faults[0]?.[1]).toMatch(why)
  })

  it('comes back to be corrected as it would be typed', () => {
    const number = fc.integer({ min: 0, max: 2000 }).map(String)
    const text = fc.oneof(
      number,
      fc.tuple(number, number).map(([a, b]) => `${a} to ${b}`),
    )
    fc.assert(
      fc.property(text, text, (outputVoltage, frequency) => {
        const { display } = readDisplay({ outputVoltage, frequency })
        const again = Object.fromEntries(shownFields.map((field) => [field, typeShown(display, field)]))
        expect(readDisplay(again).display).toEqual(display)
      }),
    )
  })

  it('is said in words', () => {
    const { display } = readDisplay({ outputVoltage: '229 to 232', loadBars: '3 of 5', charge: '80' })
    expect(sayDisplay(display)).toBe('its display: output 229 to 232 V, charge 80 %, 3 of 5 bars of load')
  })
})

describe('a display against meters', () => {
  const against = (entries: Parameters<typeof viewTrial>[1], revision = revisionOf()) => {
    const [analysis] = viewTrial(trialOf([revision]), entries).analyses
    if (!analysis) throw new Error('No rig.')
    return displayAgainst(analysis.record, analysis.evidence.gate, analysis.evidence.spreads)
  }

  it('that jumps agrees where what it jumps over explains it', () => {
    const at = (text: string) => {
      const { display } = readDisplay({ outputVoltage: text })
      return against([noLoadEntry({ V_C: 234 }, { display })])[0]
    }
    expect(at('229 to 232')?.deviation).toBeCloseTo(-3.5, 9)
    expect(at('226 to 240')?.apart).toBe(false)
    expect((at('226 to 240')?.U ?? 0) > (at('233')?.U ?? Infinity)).toBe(true)
  })

  it('stands against the mean of several meters that agree, and against one where they contradict', () => {
    const meters = [meterOf(), meterOf({ id: uuid(77), name: 'second' })]
    const revision = revisionOf({ meters, rig: rigOf() })
    const read = (first: number, second: number) => {
      const [one] = valuesOf({ V_B: first })
      const [two] = valuesOf({ V_B: second })
      if (!one || !two) throw new Error('Two values.')
      return against(
        [
          ladderEntry(
            {},
            {
              values: [
                { ...one, meter: meters[0]?.id },
                { ...two, meter: meters[1]?.id },
              ],
              display: { inputVoltage: 25.5 },
            },
          ),
        ],
        revision,
      ).find(({ quantity }) => quantity === 'V_B')
    }
    const mean = read(25.2, 25.22)
    expect(mean?.meter.x.value).toBeCloseTo(25.21, 9)
    expect(mean?.meter.working.formula).toBe('mean of 2 meters')
    expect(mean?.deviation).toBeCloseTo(0.29, 9)
    expect(mean && isFigure(mean.meter) && mean.apart).toBe(true)
    expect(read(25.2, 29.2)?.meter.working.formula).not.toMatch(/mean of 2/)
  })
})

describe('the bar that should light', () => {
  it.each([
    [0, 5, 0],
    [0.1, 5, 1],
    [0.2, 5, 1],
    [0.71, 5, 4],
    [1, 5, 5],
    [1.3, 5, 5],
  ])('at a share of %d of the whole, of %d bars, is %d', (share, inAll, bars) => {
    expect(shouldLight(share, inAll).bars).toBe(bars)
  })

  it('holds the share between what it stands for', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.001, max: 1, noNaN: true }),
        fc.integer({ min: 1, max: 20 }),
        (share, inAll) => {
          const { from, to } = shouldLight(share, inAll)
          expect(share).toBeGreaterThanOrEqual(from - 1e-9)
          expect(share).toBeLessThanOrEqual(to + 1e-9)
        },
      ),
    )
  })
})
