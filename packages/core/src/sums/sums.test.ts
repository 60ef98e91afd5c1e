import fc from 'fast-check'
import { quantityIds, quantityOf, type QuantityId } from './quantities'
import { readQuantity } from './read'
import { relations, type Values } from './relations'
import { rootOf } from './root'
import { headline, sayClash, sayNeed, saySum } from './say'
import { sheetOf, type TypedQuantity } from './sheet'

/** Types lines one after the other, as on the page. */
function typed(...lines: readonly string[]): TypedQuantity[] {
  const list: TypedQuantity[] = []
  for (const line of lines) {
    const read = readQuantity(line, new Set(list.map(({ id }) => id)))
    if (!read.ok) throw new Error(`${line}: ${read.why}`)
    list.push(read.typed)
  }
  return list
}
const sheet = (...lines: readonly string[]) => sheetOf(typed(...lines))
const rowOf = (id: QuantityId, of: ReturnType<typeof sheetOf>) =>
  [...of.typed, ...of.follows].find((row) => row.id === id)
const value = (id: QuantityId, of: ReturnType<typeof sheetOf>) => rowOf(id, of)?.x.value ?? NaN
const said = (id: QuantityId, of: ReturnType<typeof sheetOf>) => {
  const row = rowOf(id, of)
  return row && saySum(row)
}

/** docs/method/sums.md, and the figures that it works by hand. */
const worked = ['12.8 V', 'bank 6 mΩ', 'leads 5 mΩ', '1000 W', '88 %']

describe('the worked sheet', () => {
  const of = sheet(...worked)

  it('gives watts, amps, volts and what is lost', () => {
    expect(value('wattsIn', of)).toBeCloseTo(1136.36, 2)
    expect(value('idealAmps', of)).toBeCloseTo(88.78, 2)
    // (12.8 − √(12.8² − 4·0.011·1136.36)) / 0.022
    expect(value('amps', of)).toBeCloseTo(96.84, 2)
    expect(value('extraAmps', of)).toBeCloseTo(8.06, 2)
    expect(value('terminals', of)).toBeCloseTo(11.735, 3)
    expect(value('leadsHeat', of)).toBeCloseTo(46.9, 1)
    expect(value('leadsShare', of)).toBeCloseTo(0.0378, 4)
    expect(value('bankHeat', of)).toBeCloseTo(56.3, 1)
    expect(of.clashes).toEqual([])
    expect(headline(of)).toContain(
      '1000 W draw 96.8 A from this battery. Without loss on the way it would be 88.8 A: 8.06 A more',
    )
  })

  it('says how long a battery lasts, lithium and lead', () => {
    expect(said('hours', sheet(...worked, '100 Ah', 'usable 80 %'))).toBe('50 min')
    const lead = sheet(...worked, '100 Ah', 'usable 80 %', 'Peukert 1.18')
    // 0.8 · 20 · (100 / (96.84 · 20))^1.18 h
    expect(value('hours', lead)).toBeCloseTo(0.485, 3)
    expect(rowOf('hours', lead)?.rests).toEqual(['ratedHours'])
  })

  it('goes backwards: from volts at the terminals to the resistance of the leads', () => {
    const back = sheet('12.8 V', 'bank 6 mΩ', '1000 W', '88 %', 'terminals 11.735 V')
    expect(value('leadsOhm', back)).toBeCloseTo(0.005, 5)
  })

  it('names what is missing, and what is assumed where it plays a part', () => {
    expect(of.needs.map(sayNeed)).toContain('How long it runs: needs battery’s ampere-hours.')
    expect(of.assumed).toContain('fuseFactor')
    expect(of.assumed).not.toContain('copper')
  })
})

describe('what batteries and a clamp stand', () => {
  it('counts batteries for the unit and for the charger, with what they have to spare', () => {
    const of = sheet('battery amps 130 A', 'limit 50 A', 'charger 60 A', 'may take 25 A')
    expect(value('batteries', of)).toBe(3)
    expect(value('limitSpare', of)).toBeCloseTo(20, 9)
    expect(value('chargeBatteries', of)).toBe(3)
    expect(value('chargeSpare', of)).toBeCloseTo(15, 9)
  })

  it('gives hours ideally, and with what the unit takes, before any ohm is known', () => {
    const of = sheet('200 Ah', '12 V', '400 W', '85 %', 'usable 50 %')
    expect(value('loadHours', of)).toBeCloseTo(6, 9)
    // 1200 Wh over 400 W / 0.85
    expect(value('idealHours', of)).toBeCloseTo(2.55, 9)
    expect(value('clampIdealLeft', sheet('400 W', '85 %', '12 V', 'clamp 30 A'))).toBeCloseTo(-9.216, 3)
  })

  it('says what is left to the end of the clamp, below nought where it is too small', () => {
    expect(value('clampLeft', sheet('battery amps 130 A', 'clamp 100 A'))).toBeCloseTo(-30, 9)
  })
})

describe('ranges and uncertainty', () => {
  it('lets a range of copper out again as a range of ohms', () => {
    // 2 · 1.2 m · 1.7241e-8 / 16 mm² = 2.586 mΩ; / 25 mm² = 1.655 mΩ
    const of = sheet('16 to 25 mm²', 'length 1.2 m')
    const range = rowOf('leadsOhm', of)?.range
    expect(range?.[0]).toBeCloseTo(0.001655, 6)
    expect(range?.[1]).toBeCloseTo(0.002586, 6)
    expect(said('leadsOhm', of)).toBe('1.66 … 2.59 mΩ')
  })

  it('widens a range by what is unsure besides', () => {
    // 1000 W at 50 % is 2000 W, ± 2 % of it 40 W; at 40 % 2500 W
    const range = rowOf('wattsIn', sheet('1000 ± 20 W', '40 to 50 %'))?.range
    // U is worked at the middle, 45 %: 20 / 0.45
    expect(range?.[0]).toBeCloseTo(2000 - 20 / 0.45, 6)
    expect(range?.[1]).toBeCloseTo(2500 + 20 / 0.45, 6)
  })

  it('carries what was typed with ± through', () => {
    // 1000 / 0.5: relative U of 2 % and 1 % in quadrature is 2.236 %
    const of = sheet('1000 ± 20 W', '50 ± 0.5 %')
    expect(said('wattsIn', of)).toBe('2000 ± 45 W')
  })
})

describe('contradictions', () => {
  it('are said with the value that would fit, and with what they may lie on', () => {
    const of = sheet('battery at rest 12.8 V', '1000 W', '88 %', 'terminals 12 V', 'battery amps 80 A')
    const [clash] = of.clashes
    expect(clash && sayClash(clash)).toBe(
      'Battery amps cannot be 80.0 A: P_in = V_B · I gives 94.7 A. One of these is not so: watts at the outlet, efficiency of the unit, volts at the terminals, battery amps.',
    )
  })

  it('are not made of what was merely rounded', () => {
    expect(sheet('1136 W input', '11.73 V terminals', '96.8 A battery amps').clashes).toEqual([])
  })

  it('say what no battery can give', () => {
    // At most E²/4R = 12.8²/(4 · 0.05) = 819 W
    const of = sheet('12.8 V', 'total 50 mΩ', 'input 1000 W')
    expect(of.clashes.map(sayClash)[0]).toContain('No value of battery amps would do')
  })
})

describe('other sums', () => {
  it.each<[string[], QuantityId, number]>([
    [['heater label 1000 W', 'heater label 230 V', 'outlet 207 V'], 'heater', 810],
    [['code letter G', '0.5 hp'], 'startVA', 2975],
    [['outlet 120 V', 'outlet 8 A', 'power factor 0.8'], 'watts', 768],
    [['outlet 120 V', 'outlet 8 A', 'inrush 6 times'], 'startAmps', 48],
    [['rated 1400 W', '1200 W'], 'ofRating', 6 / 7],
    [['rated 1400 W', '1500 W'], 'margin', -100],
    [['idle 0.6 A', '12.8 V'], 'idleDay', 184.32],
    [['idle 0.6 A'], 'idleAhDay', 14.4],
    [['one battery 12.8 V', '2 in series', 'one battery 100 Ah', '3 parallel'], 'wh', 7680],
    [['battery amps 250 A', 'bms 100 A'], 'batteries', 3],
    [['panels 400 W', 'sun 4 h'], 'solarDay', 1200],
    [['48 V', 'precharge resistor 50 ohm', '10 mF'], 'sparkJoules', 11.52],
    [['48 V', 'precharge resistor 50 ohm', '10 mF'], 'sparkWatts', 46.08],
    [['port 20 V', 'port 2.25 A'], 'portWatts', 45],
    [['price 280', 'rated 1400 W'], 'pricePerWatt', 0.2],
    [['battery amps 100 A'], 'fuse', 125],
    [['25 mm²'], 'carries', 170],
  ])('%j gives %s', (lines, id, expected) => {
    expect(value(id, sheet(...lines))).toBeCloseTo(expected, 6)
  })
})

describe('what is typed', () => {
  it.each([
    ['12,8 V', 'rest', 12.8],
    ['6 mΩ', 'bankOhm', 0.006],
    ['1.2 kW', 'watts', 1200],
    ['η 90 %', 'efficiency', 0.9],
    ['4 AWG', 'area', 21.15],
    ['cable 1/0', 'area', 53.5],
    ['runtime 30 min', 'hours', 0.5],
    ['rating 9000 W', 'rating', 9000],
    ['rated 9000 W', 'rating', 9000],
    ['rated watts 9 kW', 'rating', 9000],
    ['watts left 300 W', 'margin', 300],
    ['copper 104 °C', 'copper', 104],
    ['copper -10 °C', 'copper', -10],
    ['copper 104 °F', 'copper', 40],
    ['pre-charge resistor 50 ohm', 'resistor', 50],
    ['25mm2', 'area', 25],
    ['10..25 mm²', 'area', 10],
  ])('%s', (text, id, expected) => {
    const read = readQuantity(text)
    expect(read.ok && read.typed.id).toBe(id)
    expect(read.ok && read.typed.value).toBeCloseTo(expected, 1)
  })

  it.each([
    ['', 'Type a value with its unit'],
    ['hello', 'is not understood'],
    ['12 V 13 V', 'is not understood'],
    ['-5 V', '0 or more'],
    ['12', 'Add the unit'],
    ['efficiency 120 %', 'from 0 to 100 %'],
    ['rest 12 A', 'Nothing in A is known as "rest"'],
    ['9'.repeat(90), 'Too long'],
    ['frobnicator 5 V', 'Nothing in V is known'],
    ['99 AWG', 'is no AWG number'],
  ])('"%s" gets a sentence', (text, sentence) => {
    const read = readQuantity(text)
    expect(read.ok ? '' : read.why).toContain(sentence)
  })

  it('in the field of a quantity, with another unit or none, is asked about or read as its own', () => {
    expect(readQuantity('5', new Set(), 'leadsOhm')).toMatchObject({ ok: true, typed: { value: 0.005 } })
    expect(readQuantity('leads 5', new Set(), 'leadsOhm')).toMatchObject({
      ok: true,
      typed: { value: 0.005 },
    })
    for (const text of ['5 mX', '5 V'])
      expect(readQuantity(text, new Set(), 'leadsOhm')).toMatchObject({
        ok: false,
        why: expect.stringContaining('Accepted: mΩ, Ω') as string,
      })
  })

  it('never throws, whatever is typed, and takes no time over it', () => {
    fc.assert(fc.property(fc.string({ maxLength: 120 }), (text) => void readQuantity(text)))
    expect(readQuantity(`${'1.'.repeat(39)}`).ok).toBe(false)
  })
})

describe('the relations', () => {
  it('know each quantity, and each quantity stands in one', () => {
    const used = new Set(relations.flatMap(({ of }) => of))
    expect(quantityIds.filter((id) => !used.has(id))).toEqual([])
    expect(new Set(quantityIds.map((id) => quantityOf(id).symbol)).size).toBe(quantityIds.length)
  })

  it.each(relations.map((relation) => [relation.equation, relation] as const))(
    '%s holds for whichever of its quantities is missing',
    (_, { of, gap, only }) => {
      fc.assert(
        fc.property(
          fc.array(fc.double({ min: 0.05, max: 0.95, noNaN: true }), { minLength: 8, maxLength: 8 }),
          (draws) => {
            const values = Object.fromEntries(of.map((id, i) => [id, draws[i] ?? 0.5])) as Record<
              string,
              number
            >
            for (const id of only ? [only] : of) {
              const at = (x: number) => gap({ ...values, [id]: x } as unknown as Values)
              const root = rootOf(at)
              if (root === undefined) continue
              const size = Math.abs(at(root * 1.01 + 1e-6))
              expect(Math.abs(at(root))).toBeLessThanOrEqual(1e-6 * size + 1e-12)
            }
          },
        ),
        { numRuns: 30 },
      )
    },
  )

  it('give the same in whatever order things were typed', () => {
    const lines = typed(...worked, '100 Ah', 'idle 0.6 A', 'rated 1400 W')
    const first = sheetOf(lines)
    fc.assert(
      fc.property(fc.shuffledSubarray(lines, { minLength: lines.length }), (shuffled) => {
        const other = sheetOf(shuffled)
        for (const { id, x } of first.follows) expect(value(id, other)).toBeCloseTo(x.value, 9)
      }),
      { numRuns: 20 },
    )
  })

  it('keep the energy: what comes from the battery is what leaves, and what is lost', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 100, max: 1500, noNaN: true }),
        fc.double({ min: 0.6, max: 0.97, noNaN: true }),
        (watts, efficiency) => {
          const of = sheetOf(
            (
              [
                ['watts', watts],
                ['efficiency', efficiency],
                ['rest', 25.6],
                ['bankOhm', 0.008],
                ['leadsOhm', 0.004],
              ] as const
            ).map(([id, given]) => ({ id, value: given, half: 0 })),
          )
          const lost = value('bankHeat', of) + value('leadsHeat', of) + value('unitLoss', of)
          expect(value('amps', of) * 25.6).toBeCloseTo(watts + lost, 6)
        },
      ),
    )
  })
})

describe('a root', () => {
  it('is the lowest above nought, or nothing where there is none', () => {
    expect(rootOf((x) => (x - 3) * (x - 5))).toBeCloseTo(3, 9)
    expect(rootOf((x) => x ** 2 + 1)).toBeUndefined()
    expect(rootOf(() => NaN)).toBeUndefined()
    expect(rootOf((x) => 2 * x + 8)).toBe(-4)
  })
})
