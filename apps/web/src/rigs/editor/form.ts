import type { Battery, Conductor, PathElement, Rig } from '@even-watt/contract'
import { flexibleStranding, formatGauge, parseGauge, shortened, type Parsed } from '@even-watt/core'
import { readNumber, typed } from '../../ui/form'
import { readLength, readTemperature, typedLength, typedTemperature } from '../../ui/units'
import type { Report } from '../../ui/resolver'

export interface ConductorForm {
  gauge: string
  length: string
  runs: string
  material: string
  strandingFactor: string
  ends: string
}

export interface ElementForm {
  id: string
  kind: string
  name: string
  conductors: ConductorForm[]
  insulation: string
  continuous: string
  shortCurrent: string
  shortSeconds: string
  resistance: string
  hole: string
  stud: string
  warning: string
}

export interface BatteryForm {
  id: string
  name: string
  chemistry: string
  nominal: string
  capacity: string
  rest: string
  resistance: string
  limit: string
  age: string
  open: string
}

export interface JoinForm {
  kind: string
  positive: string[]
  negative: string[]
  positiveAt: string
  negativeAt: string
  leads: string[]
}

export interface RigForm {
  name: string
  ambient: string
  /** 'not known', or nothing. */
  leads: string
  /** Where neutral and earth are joined outside the unit, or nothing. */
  bond: string
  arrangement: string
  note: string
  bank: {
    name: string
    strings: BatteryForm[][]
    join: JoinForm
    usableShare: string
    rippleResistance: string
  }
  support: { kind: string; name: string; current: string; ownUse: string }
  positive: ElementForm[]
  negative: ElementForm[]
  typical: Record<string, string>
  assignments: { quantity: string; meter: string; on: string }[]
}

export const blankConductor: ConductorForm = {
  gauge: '',
  length: '',
  runs: '1',
  material: 'copper',
  strandingFactor: String(flexibleStranding),
  ends: '',
}

const conductorToForm = (conductor: Conductor): ConductorForm => ({
  gauge: formatGauge(conductor.gauge),
  length: typedLength(conductor.length),
  runs: typed(conductor.runs),
  material: conductor.material,
  strandingFactor: typed(conductor.strandingFactor),
  ends: typed(conductor.ends, 1000),
})

const elementToForm = (element: PathElement): ElementForm => ({
  id: element.id,
  kind: element.kind,
  name: element.name,
  conductors: element.kind === 'cable' ? element.conductors.map(conductorToForm) : [],
  insulation: element.kind === 'cable' ? typedTemperature(element.insulation) : '',
  continuous: element.kind === 'cable' ? '' : typed(element.continuous),
  shortCurrent: typed(element.shortTime?.current),
  shortSeconds: typed(element.shortTime?.seconds),
  resistance: typed(element.resistance, 1000),
  hole: typed(element.hole),
  stud: typed(element.stud),
  warning: element.warning ?? '',
})

const batteryToForm = (battery: Battery): BatteryForm => ({
  id: battery.id,
  name: battery.name,
  chemistry: battery.chemistry,
  nominal: typed(battery.nominal),
  capacity: typed(battery.capacity),
  rest: typed(battery.rest),
  resistance: typed(battery.resistance, 1000),
  limit: typed(battery.limit),
  age: typed(battery.age),
  open: battery.open ? 'yes' : 'no',
})

const linkToForm = (link: number | null) => (link === null ? 'open' : typed(link, 1000))

function joinToForm({ join, strings }: Rig['bank']): JoinForm {
  const links = Array.from({ length: strings.length - 1 }, () => usualLink)
  return join.kind === 'in line'
    ? {
        kind: join.kind,
        positive: join.positive.map(linkToForm),
        negative: join.negative.map(linkToForm),
        positiveAt: String(join.positiveAt + 1),
        negativeAt: String(join.negativeAt + 1),
        leads: strings.map(() => usualLead),
      }
    : {
        kind: join.kind,
        positive: links,
        negative: links,
        positiveAt: '1',
        negativeAt: String(strings.length),
        leads: join.leads.map((lead) => typed(lead, 1000)),
      }
}

/** mΩ of a short link between neighbours, and of a pair of leads to busbars, until the tester says better. */
export const usualLink = '0.3'
export const usualLead = '0.6'

export const rigToForm = (rig: Rig): RigForm => ({
  name: rig.name,
  ambient: typedTemperature(rig.ambient),
  leads: rig.leads ?? '',
  bond: rig.bond ?? '',
  arrangement: rig.arrangement ?? '',
  note: rig.note ?? '',
  bank: {
    name: rig.bank.name,
    strings: rig.bank.strings.map((string) => string.map(batteryToForm)),
    join: joinToForm(rig.bank),
    usableShare: typed(rig.bank.usableShare, 100),
    rippleResistance: typed(rig.bank.rippleResistance, 1000),
  },
  support: rig.support
    ? {
        kind: rig.support.kind,
        name: rig.support.name,
        current: typed(rig.support.current),
        ownUse: typed(rig.support.ownUse),
      }
    : { kind: 'none', name: '', current: '', ownUse: '0' },
  positive: rig.positive.map(elementToForm),
  negative: rig.negative.map(elementToForm),
  typical: Object.fromEntries(Object.entries(rig.typical ?? {}).map(([kind, R]) => [kind, typed(R, 1000)])),
  assignments: rig.assignments.map(({ quantity, meter, on }) => ({ quantity, meter, on: on ?? '' })),
})

type ReadNumber = (
  path: string,
  text: string,
  factor?: number,
  parse?: (text: string) => Parsed,
) => number | undefined

export function formToRig(form: RigForm, report: Report): unknown {
  const number: ReadNumber = (path, text, factor = 1, parse) => {
    const { value, why } = readNumber(text, parse)
    report(path, why)
    return value === undefined ? undefined : shortened(value * factor, 15)
  }
  const { bank, support } = form
  const typical = Object.entries(form.typical)
    .filter(([, text]) => text.trim())
    .map(([kind, text]) => [kind, number(`typical.${kind}`, text, 0.001)])
  return {
    name: form.name,
    bank: {
      name: bank.name,
      strings: bank.strings.map((string, i) =>
        string.map((battery, k) => batteryFrom(battery, `bank.strings.${i}.${k}`, number)),
      ),
      join: joinFrom(bank.join, bank.strings.length, number),
      usableShare: number('bank.usableShare', bank.usableShare, 0.01),
      rippleResistance: number('bank.rippleResistance', bank.rippleResistance, 0.001),
    },
    support:
      support.kind === 'none'
        ? undefined
        : {
            kind: support.kind,
            name: support.name.trim() || support.kind,
            current: number('support.current', support.current),
            ownUse: number('support.ownUse', support.ownUse) ?? 0,
          },
    positive: form.positive.map((element, i) => elementFrom(element, `positive.${i}`, number, report)),
    negative: form.negative.map((element, i) => elementFrom(element, `negative.${i}`, number, report)),
    typical: typical.length ? Object.fromEntries(typical) : undefined,
    ambient: number('ambient', form.ambient, 1, readTemperature),
    ...(form.leads ? { leads: form.leads } : {}),
    ...(form.bond ? { bond: form.bond } : {}),
    ...(form.arrangement ? { arrangement: form.arrangement } : {}),
    note: form.note.trim() || undefined,
    assignments: form.assignments
      .filter((assignment) => assignment.meter)
      .map(({ quantity, meter, on }) => ({ quantity, meter, on: on || undefined })),
  }
}

function batteryFrom(battery: BatteryForm, path: string, number: ReadNumber): unknown {
  return {
    id: battery.id,
    name: battery.name,
    chemistry: battery.chemistry,
    nominal: number(`${path}.nominal`, battery.nominal),
    capacity: number(`${path}.capacity`, battery.capacity),
    rest: number(`${path}.rest`, battery.rest),
    resistance: number(`${path}.resistance`, battery.resistance, 0.001),
    limit: number(`${path}.limit`, battery.limit),
    age: number(`${path}.age`, battery.age),
    open: battery.open === 'yes',
  }
}

function joinFrom(join: JoinForm, strings: number, number: ReadNumber): unknown {
  if (join.kind === 'busbars') {
    return {
      kind: 'busbars',
      leads: join.leads.slice(0, strings).map((text, i) => number(`bank.join.leads.${i}`, text, 0.001)),
    }
  }
  const link = (side: 'positive' | 'negative') =>
    join[side]
      .slice(0, strings - 1)
      .map((text, i) =>
        text.trim().toLowerCase() === 'open' ? null : number(`bank.join.${side}.${i}`, text, 0.001),
      )
  return {
    kind: 'in line',
    positive: link('positive'),
    negative: link('negative'),
    positiveAt: (number('bank.join.positiveAt', join.positiveAt) ?? 1) - 1,
    negativeAt: (number('bank.join.negativeAt', join.negativeAt) ?? 1) - 1,
  }
}

/** A conductor as typed, each field's sentence reported at its path. */
function conductorFrom(form: ConductorForm, path: string, number: ReadNumber, report: Report): unknown {
  const gauge = parseGauge(form.gauge)
  report(`${path}.gauge`, gauge.ok ? undefined : gauge.why)
  return {
    gauge: gauge.ok ? gauge.gauge : undefined,
    length: number(`${path}.length`, form.length, 1, readLength),
    runs: number(`${path}.runs`, form.runs),
    material: form.material,
    strandingFactor: number(`${path}.strandingFactor`, form.strandingFactor),
    ends: number(`${path}.ends`, form.ends, 0.001),
  }
}

function elementFrom(element: ElementForm, path: string, number: ReadNumber, report: Report): unknown {
  const current = number(`${path}.shortCurrent`, element.shortCurrent)
  const seconds = number(`${path}.shortSeconds`, element.shortSeconds)
  if ((current === undefined) !== (seconds === undefined)) {
    report(`${path}.shortSeconds`, 'Short-time rating: both the amps and for how long.')
  }
  const base = {
    id: element.id,
    kind: element.kind,
    name: element.name,
    resistance: number(`${path}.resistance`, element.resistance, 0.001),
    hole: number(`${path}.hole`, element.hole),
    stud: number(`${path}.stud`, element.stud),
    warning: element.warning.trim() || undefined,
    shortTime: current !== undefined && seconds !== undefined ? { current, seconds } : undefined,
  }
  if (element.kind !== 'cable')
    return { ...base, continuous: number(`${path}.continuous`, element.continuous) }
  return {
    ...base,
    conductors: element.conductors.map((conductor, i) =>
      conductorFrom(conductor, `${path}.conductors.${i}`, number, report),
    ),
    insulation: number(`${path}.insulation`, element.insulation, 1, readTemperature),
  }
}
