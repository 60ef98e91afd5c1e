import { writtenDemo } from '@even-watt/bench/written'
import fc from 'fast-check'
import { showValue, typedDecimals } from '../ui/readValue'
import { circumstances } from './circumstances'
import { columns, layoutOf, leastWidth, places } from './columns'
import { buildEntry, draftOf, emptyDraft, fieldsOf, readDraft } from './draft'

const [rig] = writtenDemo().rigs
const [trial] = writtenDemo().trials
if (!rig || !trial) throw new Error('no demo')
const fields = fieldsOf(rig)
const keyOf = (quantity: string) => fields.find((field) => field.quantity === quantity)?.key ?? ''
const context = {
  id: crypto.randomUUID(),
  step: crypto.randomUUID(),
  position: 10,
  revision: 1,
  at: '2026-03-12T09:00:00.000Z',
}

describe('the step being typed', () => {
  it('has its fields in the reading order of the rig, then those without a meter', () => {
    expect(fields.slice(0, 3).map((field) => field.quantity)).toEqual(['V_A', 'V_B', 'I'])
    expect(fields.every((field) => field.quantity !== ('idle I' as string))).toBe(true)
    const bare = fieldsOf({ ...rig, assignments: [] })
    expect(bare.map((field) => field.meter)).toEqual(bare.map(() => undefined))
    expect(bare).toHaveLength(10)
  })

  it('keeps what can be read and names what cannot', () => {
    const draft = {
      ...emptyDraft,
      texts: {
        [keyOf('V_A')]: '26,24',
        [keyOf('V_B')]: '12.8.4',
        [keyOf('THD')]: '1.6',
        [keyOf('P_C')]: '2e9',
      },
    }
    const { values, faults } = readDraft(draft, fields)
    expect(values.map((value) => [value.quantity, value.value])).toEqual([
      ['V_A', 26.24],
      ['THD', 0.016],
    ])
    expect(Object.keys(faults)).toEqual([keyOf('V_B'), keyOf('P_C')])
  })

  it('is no reading without a load or a value, and says so', () => {
    expect(Object.keys(buildEntry(emptyDraft, fields, context).faults)).toEqual(['load', 'values'])
    const held = { ...emptyDraft, load: 'plate', held: '-3', texts: { [keyOf('I')]: '14.4' } }
    expect(buildEntry(held, fields, context).faults).toEqual({ held: 'Held: a number from 0 up' })
  })

  it('marks values without a meter by the grade the tester gives them', () => {
    const draft = { ...emptyDraft, otherGrade: 'estimated' as const, texts: { 'V_B|': '25' } }
    expect(readDraft(draft, fieldsOf({ ...rig, assignments: [] })).values).toEqual([
      { quantity: 'V_B', value: 25, grade: 'estimated' },
    ])
  })

  it('comes back from a reading as it was typed, to be corrected', () => {
    for (const entry of trial.entries) {
      if (entry.kind !== 'ladder') continue
      const again = buildEntry(draftOf(entry, fields), fields, context).entry.reading
      expect(again.step).toBe(entry.reading.step)
      expect(again.values.map(({ quantity, value, meter }) => [quantity, value, meter])).toEqual(
        expect.arrayContaining(
          entry.reading.values.map(({ quantity, value, meter }) => [quantity, value, meter]),
        ),
      )
    }
  })

  it('keeps the range that a meter was said to stand on', () => {
    const large = crypto.randomUUID()
    const draft = { ...emptyDraft, load: 'plate', texts: { [keyOf('V_B')]: '25.6' } }
    const chosen = { ...draft, ranges: { [keyOf('V_B')]: large } }
    const { entry } = buildEntry(chosen, fields, context)
    expect(entry.reading.values).toMatchObject([{ quantity: 'V_B', range: large }])
    expect(draftOf(entry, fields).ranges).toEqual({ [keyOf('V_B')]: large })
  })

  it('comes back with temperatures, display and lowered input too', () => {
    const rod = trial.trial.revisions[0]?.rig.positive[0]
    if (!rod) throw new Error('no element')
    const draft = {
      ...emptyDraft,
      load: 'plate',
      texts: { [keyOf('V_B')]: '25.6' },
      lowered: true,
      display: { ...emptyDraft.display, outputPower: '410' },
      temperatures: [
        { where: rod.id, text: '118 °F' },
        { where: 'room', text: '21,5' },
        { where: 'case', text: ' ' },
      ],
    }
    const { entry, faults } = buildEntry(draft, fields, context)
    expect(faults).toEqual({})
    expect(entry.reading).toMatchObject({ lowered: true, display: { outputPower: 410 } })
    expect(
      entry.reading.temperatures?.map(({ place, part, celsius }) => [
        place,
        part,
        Math.round(10 * celsius) / 10,
      ]),
    ).toEqual([
      ['part of the rig', rod.id, 47.8],
      ['room', undefined, 21.5],
    ])
    const again = buildEntry(draftOf(entry, fields), fields, context).entry.reading
    expect([again.lowered, again.display, again.temperatures]).toEqual([
      true,
      entry.reading.display,
      entry.reading.temperatures,
    ])
    expect(
      buildEntry({ ...draft, temperatures: [{ where: 'room', text: 'hot' }] }, fields, context).faults,
    ).toMatchObject({ temperatures: expect.stringContaining('not a number') as string })
  })

  it('shows fractions in per cent without the dust of binary numbers', () => {
    expect(showValue('THD', 0.016)).toBe('1.6')
    expect(showValue('V_A', 24.92)).toBe('24.92')
  })
})

describe('the layout shared by ribbon and grid', () => {
  it('fills the width, never under the least, in the order of the columns', () => {
    fc.assert(
      fc.property(fc.integer({ min: 200, max: 4000 }), fc.integer({ min: 0, max: 12 }), (available, own) => {
        const layout = layoutOf(available, own)
        expect(layout.width).toBeGreaterThanOrEqual(available)
        if (own === 0) expect(layout.width).toBe(Math.max(available, leastWidth))
        let edge = layout.step + layout.load
        for (const column of columns) {
          const box = layout.at.get(column.key)
          expect(box?.left).toBeCloseTo(edge, 6)
          edge += box?.width ?? 0
        }
        expect(edge + own * layout.own).toBeCloseTo(layout.width, 6)
      }),
    )
  })

  it('groups neighbouring columns by their place on the circuit', () => {
    expect(places.map(({ place }) => place)).toEqual(['A', 'path', 'B', 'unit', 'C', 'system'])
  })
})

describe('what was typed', () => {
  it('keeps its last zeros, in the record and in the field', () => {
    const draft = {
      ...emptyDraft,
      load: 'plate',
      texts: { [keyOf('V_B')]: '12.370', [keyOf('V_A')]: '12,4' },
    }
    const { entry } = buildEntry(draft, fields, context)
    expect(entry.reading.values.map(({ quantity, value, decimals }) => [quantity, value, decimals])).toEqual(
      expect.arrayContaining([
        ['V_B', 12.37, 3],
        ['V_A', 12.4, undefined],
      ]),
    )
    expect(draftOf(entry, fields).texts[keyOf('V_B')]).toBe('12.370')
    for (const odd of ['1.20k', '1e10', '.', '12.', '9'.repeat(30)]) expect(typedDecimals(odd)).toEqual({})
  })

  it('is said with what went with it', () => {
    const { entry } = buildEntry(
      {
        ...emptyDraft,
        load: 'x',
        texts: { [keyOf('V_B')]: '12' },
        fan: 'on',
        held: '90',
        observed: 'hums',
        display: { ...emptyDraft.display, outputPower: '410' },
      },
      fields,
      context,
    )
    expect(circumstances(entry.reading)).toBe('fan on · held 1 min 30 s · its display: output 410 W · hums')
  })
})
