import type { Load } from '@even-watt/contract'
import { parseMeasure, shortened, wattsInHorsepower } from '@even-watt/core'
import { readNumber, typed } from '../ui/form'
import { readShaftPower, typedShaftPower } from '../ui/units'
import type { Report } from '../ui/resolver'

export interface LoadForm {
  name: string
  kind: string
  volts: string
  settings: { id: string; name: string; watts: string }[]
  powerFactor: string
  inrush: string
  nameplate: { current: string; shaft: string; code: string }
  assist: string
  cold: string
  seconds: string
  cord: string
  loud: string
  note: string
}

export const blankLoad = (id: string): LoadForm => ({
  name: '',
  kind: 'element',
  volts: '230',
  settings: [{ id, name: '', watts: '' }],
  powerFactor: '',
  inrush: '',
  nameplate: { current: '', shaft: '', code: '' },
  assist: '',
  cold: '',
  seconds: '',
  cord: '',
  loud: 'no',
  note: '',
})

export const loadToForm = (load: Load): LoadForm => ({
  name: load.name,
  kind: load.kind,
  volts: typed(load.volts),
  settings: load.settings.map(({ id, name, watts }) => ({ id, name, watts: typed(watts) })),
  powerFactor: typed(load.powerFactor),
  inrush: typed(load.inrush),
  nameplate: {
    current: typed(load.nameplate?.current),
    shaft: typedShaftPower(load.nameplate?.horsepower && load.nameplate.horsepower * wattsInHorsepower),
    code: load.nameplate?.code ?? '',
  },
  assist: typed(load.assist),
  cold: typed(load.warmUp?.cold, 100),
  seconds: typed(load.warmUp?.seconds),
  cord: typed(load.cord),
  loud: load.loud ? 'yes' : 'no',
  note: load.note ?? '',
})

export function formToLoad(form: LoadForm, report: Report): unknown {
  const number = (path: keyof LoadForm, factor = 1) => {
    const text = form[path]
    const { value, why } = readNumber(typeof text === 'string' ? text : undefined)
    report(path, why)
    return value === undefined ? undefined : value * factor
  }
  const [cold, seconds] = [number('cold', 0.01), number('seconds')]
  if ((cold === undefined) !== (seconds === undefined)) {
    report('seconds', 'Warm-up: both how much more it takes cold and how long that lasts.')
  }
  const plate = (path: 'current' | 'shaft', read?: typeof readShaftPower) => {
    const { value, why } = readNumber(form.nameplate[path], read)
    report(`nameplate.${path}`, why)
    return value
  }
  const code = form.nameplate.code.trim().toUpperCase() || undefined
  const shaft = plate('shaft', readShaftPower)
  const horsepower = shaft && shortened(shaft / wattsInHorsepower, 12)
  const nameplate = { current: plate('current'), horsepower, code }
  if (code && nameplate.horsepower === undefined)
    report('nameplate.shaft', 'A code letter tells kVA for each horsepower: enter the shaft power too.')
  return {
    name: form.name,
    kind: form.kind,
    volts: number('volts'),
    settings: form.settings.map(({ id, name, watts }, i) => {
      const { value, why } = readNumber(watts, (text) => parseMeasure(text, 'power'))
      report(`settings.${i}.watts`, why)
      return { id, name, watts: value }
    }),
    powerFactor: number('powerFactor'),
    inrush: number('inrush'),
    nameplate: Object.values(nameplate).some((one) => one !== undefined) ? nameplate : undefined,
    assist: number('assist'),
    warmUp: cold !== undefined && seconds !== undefined ? { cold, seconds } : undefined,
    cord: number('cord'),
    loud: form.loud === 'yes',
    note: form.note.trim() || undefined,
  }
}
