import { writtenDemo } from '@even-watt/bench/written'
import { Load, Meter, Rig, Unit } from '@even-watt/contract'
import { parse } from 'zod/mini'
import { blankLoad, formToLoad, loadToForm } from './loads/form'
import { formToMeter, meterToForm } from './meters/form'
import { blankRig, newElement } from './rigs/editor/edit'
import { blankConductor, formToRig, rigToForm } from './rigs/editor/form'
import { blankUnit, formToUnit, unitToForm } from './units/form'

const { units, meters, rigs, loads } = writtenDemo()
const collect = () => {
  const faults = new Map<string, string>()
  return {
    faults,
    report: (path: string, why: string | undefined) => void (why === undefined || faults.set(path, why)),
  }
}

describe('forms', () => {
  it('give back every document of the demo as it was', () => {
    const { faults, report } = collect()
    for (const unit of units)
      expect(parse(Unit, formToUnit(unitToForm(unit), report))).toEqual(parse(Unit, unit))
    for (const meter of meters)
      expect(parse(Meter, formToMeter(meterToForm(meter), report))).toEqual(parse(Meter, meter))
    for (const rig of rigs) expect(parse(Rig, formToRig(rigToForm(rig), report))).toEqual(parse(Rig, rig))
    for (const load of loads)
      expect(parse(Load, formToLoad(loadToForm(load), report))).toEqual(parse(Load, load))
    expect([...faults]).toEqual([])
  })

  it('take feet, inches, pounds and decimal commas', () => {
    const { report } = collect()
    const unit = formToUnit(
      { ...blankUnit, name: 'U', inputVoltage: '25,6', mass: '9 lb', size: ['13 in', '0.2 m', '90'] },
      report,
    )
    expect(unit).toMatchObject({
      inputVoltage: 25.6,
      mass: expect.closeTo(4.0823, 3) as number,
      size: [expect.closeTo(0.3302, 6), 0.2, 0.09],
    })
    const lead = {
      ...newElement('cable', 'positive', [], crypto.randomUUID()),
      conductors: [{ ...blankConductor, gauge: '4 AWG', length: '4 ft' }],
    }
    expect(formToRig({ ...blankRig(() => crypto.randomUUID()), positive: [lead] }, report)).toMatchObject({
      positive: [{ conductors: [{ gauge: { unit: 'AWG', number: 4 }, length: 1.2192 }] }],
    })
  })

  it('report what cannot be read at its field', () => {
    const { faults, report } = collect()
    const claim = {
      id: crypto.randomUUID(),
      quantity: 'efficiency' as const,
      comparator: 'at least',
      value: '120',
      unit: '%',
      duration: '',
      eachLeg: 'no',
      load: 'abc',
      volts: '24 or so',
      port: '',
      portVolts: '',
      mode: '',
      means: '',
      source: '',
      room: '104 °F',
      readWhere: 'box',
    }
    formToUnit({ ...blankUnit, inputVoltage: '12.8.4', claims: [claim] }, report)
    const lead = {
      ...newElement('cable', 'negative', [], crypto.randomUUID()),
      conductors: [{ ...blankConductor, gauge: '25', length: '1' }],
    }
    formToRig({ ...blankRig(() => crypto.randomUUID()), negative: [lead] }, report)
    expect(faults.get('inputVoltage')).toContain('is not a number')
    expect(faults.get('claims.0.value')).toContain('over 100 %')
    expect(faults.get('claims.0.load')).toContain('"abc"')
    expect(faults.get('claims.0.volts')).toBe('Input volts: like 24 to 28, or 13.8.')
    const read = (volts: string) =>
      formToUnit({ ...blankUnit, claims: [{ ...claim, volts }] }, () => undefined) as {
        claims: { volts: unknown; room: number }[]
      }
    expect(read('24 to 28').claims[0]).toMatchObject({ volts: { from: 24, to: 28 }, room: 40 })
    expect(read('13,8').claims[0]?.volts).toEqual({ from: 13.8, to: 13.8 })
    expect(read('11–15').claims[0]?.volts).toEqual({ from: 11, to: 15 })
    expect(faults.get('negative.0.conductors.0.gauge')).toContain('mm² or AWG')
  })

  it('say at a rig’s parts what cannot be read, and take an open link for what it is', () => {
    const { faults, report } = collect()
    const rig = rigToForm(rigs[0] as Rig)
    const strings = [...rig.bank.strings, ...rig.bank.strings]
    const join = { ...rig.bank.join, positive: ['open'], negative: ['0,3'] }
    const made = formToRig({ ...rig, bank: { ...rig.bank, strings, join } }, report)
    expect(made).toMatchObject({ bank: { join: { positive: [null], negative: [0.0003] } } })
    const wrong = {
      ...rig,
      ambient: 'warm',
      support: { kind: 'charger', name: '', current: 'x', ownUse: '0' },
      typical: { lug: '1.2.3' },
      positive: rig.positive.map((element, i) => (i === 1 ? { ...element, shortCurrent: '200' } : element)),
    }
    expect(formToRig(wrong, report)).toMatchObject({ support: { name: 'charger', current: undefined } })
    expect(faults.get('ambient')).toContain('is not a number')
    expect(faults.get('support.current')).toContain('is not a number')
    expect(faults.get('typical.lug')).toContain('is not a number')
    expect(faults.get('positive.1.shortSeconds')).toContain('both the amps and for how long')
  })

  it('read a load’s watts in kW and hp, and its warm-up only whole', () => {
    const { faults, report } = collect()
    const form = {
      ...blankLoad(crypto.randomUUID()),
      name: 'pump',
      settings: [{ id: crypto.randomUUID(), name: '', watts: '0.5 hp' }],
    }
    expect(formToLoad(form, report)).toMatchObject({
      settings: [{ watts: expect.closeTo(372.85, 2) as number }],
      loud: false,
    })
    expect([...faults]).toEqual([])
    formToLoad({ ...form, cold: '104', settings: [{ id: 'x', name: '', watts: 'many' }] }, report)
    expect(faults.get('seconds')).toContain('Warm-up: both')
    expect(faults.get('settings.0.watts')).toContain('Accepted units')
  })
})
