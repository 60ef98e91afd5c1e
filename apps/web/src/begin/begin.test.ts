import { Meter, Rig, Unit, type StoredRig } from '@even-watt/contract'
import { blankBegin, beginningOf, type BeginForm } from './begin'

const ids = () => {
  const made = new Map<string, string>()
  return {
    part: (place: string) => made.get(place) ?? (made.set(place, crypto.randomUUID()), made.get(place) ?? ''),
  }
}
const filled: BeginForm = {
  ...blankBegin,
  mains: '120 V 60 Hz',
  name: 'Corrick mate',
  volts: '12',
  watts: '600',
  rig: '12 V 100 Ah AGM, leads as supplied, fuse 100 A',
  meters: ['multimeter', 'clamp 400 A 2 % + 3', ''],
  by: 'M.K.',
}

describe('what a trial begins with in a minute', () => {
  it('uses a rig again that is described alike, and only such a one', () => {
    const of = (rig: string, here: readonly StoredRig[] = []) =>
      beginningOf({ ...filled, rig, meters: [] }, [], ids(), here)
    const { rig } = of(filled.rig)
    if (!rig) throw new Error('no rig')
    // Kept and read again, its fields come in another order, and with ids of their own.
    const kept = Object.fromEntries(Object.entries(rig).reverse()) as Rig
    const here: StoredRig = { ...kept, id: 'here', version: 1, savedAt: '2026-03-12T08:00:00.000Z' }
    expect(of(filled.rig, [here]).sameRig).toBe('here')
    expect(of('12 V 100 Ah AGM, leads as supplied, fuse 80 A', [here]).sameRig).toBeUndefined()
    expect(beginningOf(filled, [], ids(), [here]).sameRig).toBeUndefined()
  })

  it('is what the contract accepts, of nine fields', () => {
    const { unit, rig, meters, faults } = beginningOf(filled, [], ids())
    expect(faults).toEqual({})
    expect(Unit.safeParse(unit).success && Rig.safeParse(rig).success).toBe(true)
    expect(meters.every(({ meter }) => Meter.safeParse(meter).success)).toBe(true)
    expect(unit).toMatchObject({ outputVoltage: 120, outputFrequency: 60, phase: 'single' })
    expect(rig?.assignments.map(({ quantity }) => quantity)).toEqual(['V_A', 'I', 'V_C', 'I_C'])
  })

  it('keeps its ids while it is typed, so that sending it again is harmless', () => {
    const same = ids()
    const [a, b] = [beginningOf(filled, [], same), beginningOf({ ...filled, name: 'Other' }, [], same)]
    expect([b.rig, b.meters]).toEqual([a.rig, a.meters])
  })

  it('takes a meter that is on the bench by its name', () => {
    const here = { id: 'm', version: 3, savedAt: '', name: 'Old faithful', needsZeroing: false, ranges: [] }
    const { meters } = beginningOf({ ...filled, meters: ['Old faithful'] }, [here], ids())
    expect(meters).toEqual([{ id: 'm', meter: here, isNew: false }])
  })

  it('says at each field what is missing or not understood', () => {
    const { faults } = beginningOf({ ...blankBegin, volts: 'twelve', meters: ['blue thing'] }, [], ids())
    expect(Object.keys(faults).sort()).toEqual(['by', 'mains', 'meters.0', 'name', 'rig', 'volts', 'watts'])
    expect(faults['name']).toBe('Enter a name.')
  })

  it('of a power station is its watt-hours and no rig, with meters round it', () => {
    const form: BeginForm = {
      ...filled,
      kind: 'power station',
      volts: '',
      rig: '',
      Wh: '1040',
      meters: ['plug wattmeter', 'USB meter', 'DC wattmeter'],
    }
    const { unit, rig, faults } = beginningOf(form, [], ids())
    expect(faults).toEqual({})
    expect(Unit.safeParse(unit).success && Rig.safeParse(rig).success).toBe(true)
    expect(unit).not.toHaveProperty('inputVoltage')
    expect(unit.claims.map(({ quantity, value }) => [quantity, value])).toEqual([
      ['continuous power', 600],
      ['energy', 1040],
    ])
    expect(rig?.assignments.map(({ quantity }) => quantity)).toEqual([
      'V_C',
      'P_C',
      'E_C',
      'P_wall',
      'E_wall',
      'V_in',
      'I_in',
      'P_in',
      'E_in',
      'V_port',
      'I_port',
    ])
    expect(Object.keys(beginningOf({ ...form, Wh: '' }, [], ids()).faults)).toEqual(['Wh'])
  })
})
