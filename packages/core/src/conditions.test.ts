import type { Claim, EntryOf, Temperature } from '@even-watt/contract'
import {
  checkIn,
  ladderEntry,
  logEntry,
  meterOf,
  noLoadEntry,
  revisionOf,
  rigOf,
  stationOf,
  trialOf,
  unitOf,
  uuid,
} from '../test/makers'
import { claimOf, verdictOn } from '../test/verdicts'
import { sayWarmth, warmthOf } from './rigs'
import { viewTrial } from './view'

const findingOf = (patch: Partial<Claim>, entries: Parameters<typeof viewTrial>[1]) => {
  const unit = unitOf({ claims: [claimOf(patch)] })
  const on = (quantity: 'V_B' | 'P_C') => ({ quantity, meter: meterOf().id })
  const rig = rigOf({ assignments: [on('V_B'), on('P_C')] })
  const finding = viewTrial(trialOf([revisionOf({ unit, rig })]), entries).findings[0]?.standing
  if (!finding) throw new Error('no finding')
  return finding
}
const step = (V_B: number | undefined, P_C: number, more: Partial<EntryOf<'ladder'>['reading']> = {}) =>
  ladderEntry(
    { V_A: 26, ...(V_B === undefined ? {} : { V_B }), I: P_C / 0.93 / (V_B ?? 25), P_C, V_C: 229 },
    { held: 600, ...more },
  )
const room = (celsius: number): Temperature[] => [{ place: 'room', celsius }]

describe('the conditions that a promise is stated for', () => {
  it('let only steps at its input volts decide, and none whose volts were not read', () => {
    const volts = { from: 24, to: 28 }
    expect(findingOf({ volts }, [step(25.6, 1432)]).outcome).toBe('met')
    const low = findingOf({ volts }, [step(22.4, 1432), step(25.6, 700)])
    expect(low).toMatchObject({ outcome: 'not shown', limiter: 'load' })
    expect(low.sentence).toContain('Stated for 24.0 to 28.0 V: 1 of 2 steps were read there.')
    expect(findingOf({ volts }, [step(undefined, 1432)]).outcome).toBe('not tested')
    // What the unit's own display says of its input sets no condition.
    const shown = step(undefined, 1432)
    shown.reading.values.push({ quantity: 'V_B', value: 25.6, grade: 'display' })
    expect(findingOf({ volts }, [shown]).outcome).toBe('not tested')
    // A trip at volts that it is not stated for says nothing against it.
    const trip = step(23.4, 1200, { end: 'tripped', alarm: 'overload' })
    expect(findingOf({ volts }, [trip]).outcome).toBe('not tested')
    expect(findingOf({}, [trip]).outcome).toBe('not met')
  })

  it('count an overload and a hold at its volts only, too', () => {
    const volts = { from: 24, to: 28 }
    const raised = (inputVolts?: number): EntryOf<'limit'> => ({
      id: uuid(950),
      revision: 1,
      at: '2026-03-12T14:00:00.000Z',
      kind: 'limit',
      reading: {
        test: 'overload',
        how: 'raised',
        load: 'heaters',
        watts: 1200,
        lasted: 20,
        ended: 'overload',
        ...(inputVolts === undefined ? {} : { inputVolts }),
      },
    })
    expect(findingOf({}, [raised(23.4)]).outcome).toBe('not met')
    expect(findingOf({ volts }, [raised(25)]).outcome).toBe('not met')
    for (const elsewhere of [raised(23.4), raised()])
      expect(findingOf({ volts }, [elsewhere]).outcome).toBe('not tested')
    const hold = logEntry({ what: 'rated hold' })
    const held = (V_B: number) => [
      hold,
      ...[0, 5, 10, 15, 20, 25, 30].map((minutes) => checkIn(hold, minutes, { V_B, P_C: 1432, V_C: 230 })),
    ]
    expect(findingOf({ volts }, held(25.2)).outcome).toBe('met')
    expect(findingOf({ volts }, held(22)).outcome).toBe('not tested')
    // A button that was pressed, and the volts at which it warned, were looked for at whatever volts they were.
    const warned: EntryOf<'limit'> = {
      ...raised(),
      reading: { test: 'threshold', which: 'alarm', V_B: 21 },
    }
    expect(findingOf({ volts, quantity: 'alarm voltage', value: 20.5, unit: 'V' }, [warned]).outcome).toMatch(
      /^met/,
    )
  })

  it('take labels as round: within 2 % of them', () => {
    expect(findingOf({ volts: { from: 25, to: 25 } }, [step(25.4, 1432)]).outcome).toBe('met')
    expect(findingOf({ volts: { from: 25, to: 25 } }, [step(25.6, 1432)]).outcome).toBe('not tested')
  })

  it('never call a promise met in a cooler room than stated, or in one that nobody measured', () => {
    const warm = findingOf({ room: 40 }, [step(25.6, 1432, { temperatures: room(39) })])
    expect(warm.outcome).toBe('met')
    const cool = findingOf({ room: 40 }, [step(25.6, 1432, { temperatures: room(21) })])
    expect(cool.outcome).toBe('not shown')
    expect(cool.sentence).toContain('stated for a room of 40 °C, and the room had 21.0 °C')
    expect(findingOf({ room: 40 }, [step(25.6, 1432)]).sentence).toContain('is not recorded')
    // A warm room at another step, or without load, does not warm the one that decides.
    const elsewhere = [
      step(25.6, 700, { temperatures: room(41) }),
      noLoadEntry({ V_B: 25.9, I: 0.4 }, { temperatures: room(41) }),
    ]
    expect(findingOf({ room: 40 }, [...elsewhere, step(25.6, 1432)]).outcome).toBe('not shown')
    expect(
      findingOf({ room: 40 }, [...elsewhere, step(25.6, 1432, { temperatures: room(21) })]).outcome,
    ).toBe('not shown')
    // Missed in a cool room is missed.
    const trip = step(25.6, 1200, { end: 'tripped', alarm: 'overload', temperatures: room(21) })
    expect(findingOf({ room: 40 }, [trip]).outcome).toBe('not met')
  })

  it('never call one missed in a warmer room than stated', () => {
    const trip = (celsius?: number) =>
      step(25.6, 1200, {
        end: 'tripped',
        alarm: 'overload',
        ...(celsius === undefined ? {} : { temperatures: room(celsius) }),
      })
    const hot = findingOf({ room: 25 }, [trip(38)])
    expect(hot).toMatchObject({
      outcome: 'not shown',
      wouldShow: 'Repeat it in a room of 25 °C, and record that.',
    })
    expect(hot.sentence).toContain('a room of 25 °C, and the room had 38.0 °C')
    expect(findingOf({ room: 25 }, [trip(26.5)]).outcome).toBe('not met')
    expect(findingOf({ room: 25 }, [trip()]).outcome).toBe('not met')
    expect(findingOf({}, [trip(38)]).outcome).toBe('not met')
    // What was carried where it was warmer was carried.
    expect(findingOf({ room: 25 }, [step(25.6, 1432, { temperatures: room(38) })]).outcome).toBe('met')
  })

  it('are said to be absent where the label states none, with what it was', () => {
    const found = findingOf({}, [step(25.6, 1432, { temperatures: room(21) }), step(25.9, 700)])
    expect(found.conditions).toBe(
      'The promise states no input volts and no temperature; this was at 25.6 V at the terminals, 21.0 °C in the room.',
    )
    expect(findingOf({}, [step(undefined, 1432)]).conditions).toContain('at input volts that were not read.')
    // A power station has none that could be stated.
    const station = (celsius: readonly Temperature[]) =>
      verdictOn({}, [step(undefined, 1432, { temperatures: [...celsius] })], {
        unit: stationOf(),
      }).conditions
    expect(station(room(22))).toBe('The promise states no temperature; this was at 22.0 °C in the room.')
    expect(station([])).toBeUndefined()
    expect(
      findingOf({ volts: { from: 24, to: 28 }, room: 25 }, [step(25.6, 1432, { temperatures: room(25) })])
        .conditions,
    ).toBe('It was read at 25.6 V at the terminals, 25.0 °C in the room.')
  })
})

describe('temperatures by place', () => {
  it('are said with their rise over the room, and against the insulation in a hot one', () => {
    const lead = rigOf().positive.find(({ kind }) => kind === 'cable')
    if (lead?.kind !== 'cable') throw new Error('no lead')
    const [part] = warmthOf(
      [...room(22), { place: 'part of the rig', part: lead.id, celsius: 61.3 }],
      rigOf(),
    )
    expect(part && sayWarmth(part)).toBe(
      `${lead.name} 61.3 °C, 39 K over the room; in a room of 40 °C 79 °C, ${79.3 > lead.insulation ? 'more than' : 'of'} the ${lead.insulation} °C that its insulation stands`,
    )
    const [alone] = warmthOf([{ place: 'case', celsius: 48 }], rigOf())
    expect(alone && sayWarmth(alone)).toBe('case 48 °C')
  })
})
