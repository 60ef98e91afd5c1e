import type { Claim, ClaimQuantity, Unit } from '@even-watt/contract'
import { formatGauge, parseGauge, parseRating, type Parsed } from '@even-watt/core'
import { readNumber, typed } from '../ui/form'
import type { Report } from '../ui/resolver'
import {
  readLength,
  readMass,
  readSide,
  readTemperature,
  typedLength,
  typedMass,
  typedSide,
  typedTemperature,
} from '../ui/units'

/** A unit as typed: everything is text until it is saved. */
export interface UnitForm {
  name: string
  kind: string
  inputVoltage: string
  outputVoltage: string
  outputFrequency: string
  phase: string
  wave: string
  provenance: { how: string; preProduction: boolean; note: string }
  revision: string
  dateCode: string
  firmware: string
  price: { amount: string; currency: string; on: string }
  mass: string
  size: string[]
  note: string
  region: string
  bonding: string
  box: BoxForm[]
  outlets: OutletForm[]
  features: { what: string; says: string }[]
  leads: { gauge: string; length: string; fuse: string }
  claims: ClaimForm[]
}

export interface BoxForm {
  what: string
  count: string
  remark: string
  needs: string
}
export type OutletForm = Omit<BoxForm, 'needs'> & { rated: string; shares: string }

export interface ClaimForm {
  id: string
  quantity: ClaimQuantity
  comparator: string
  value: string
  unit: string
  duration: string
  eachLeg: string
  load: string
  volts: string
  room: string
  readWhere: string
  port: string
  portVolts: string
  mode: string
  means: string
  source: string
}

export const blankUnit: UnitForm = {
  name: '',
  kind: 'inverter',
  inputVoltage: '',
  outputVoltage: '230',
  outputFrequency: '50',
  phase: 'single',
  wave: 'unstated',
  provenance: { how: '', preProduction: false, note: '' },
  revision: '',
  dateCode: '',
  firmware: '',
  price: { amount: '', currency: 'EUR', on: '' },
  mass: '',
  size: ['', '', ''],
  note: '',
  region: '',
  bonding: '',
  box: [],
  outlets: [],
  features: [],
  leads: { gauge: '', length: '', fuse: '' },
  claims: [],
}

export const unitToForm = (unit: Unit): UnitForm => ({
  name: unit.name,
  kind: unit.kind,
  inputVoltage: typed(unit.inputVoltage),
  outputVoltage: typed(unit.outputVoltage),
  outputFrequency: typed(unit.outputFrequency),
  phase: unit.phase,
  wave: unit.wave,
  provenance: {
    how: unit.provenance?.how ?? '',
    preProduction: unit.provenance?.preProduction ?? false,
    note: unit.provenance?.note ?? '',
  },
  revision: unit.revision ?? '',
  dateCode: unit.dateCode ?? '',
  firmware: unit.firmware ?? '',
  price: {
    amount: typed(unit.price?.amount),
    currency: unit.price?.currency ?? 'EUR',
    on: unit.price?.on ?? '',
  },
  mass: typedMass(unit.mass),
  size: [0, 1, 2].map((i) => typedSide(unit.size?.[i])),
  note: unit.note ?? '',
  region: unit.region ?? '',
  bonding: unit.bonding ?? '',
  box: (unit.box ?? []).map(({ what, count, remark, needs }) => ({
    what,
    count: typed(count),
    remark: remark ?? '',
    needs: needs ?? '',
  })),
  outlets: (unit.outlets ?? []).map(({ what, count, rated, shares, remark }) => ({
    what,
    count: typed(count),
    rated: rated ?? '',
    shares: shares ?? '',
    remark: remark ?? '',
  })),
  features: (unit.features ?? []).map((one) => ({ ...one })),
  leads: {
    gauge: unit.leads ? formatGauge(unit.leads.gauge) : '',
    length: typedLength(unit.leads?.length),
    fuse: typed(unit.leads?.fuse),
  },
  claims: unit.claims.map(claimToForm),
})

const claimToForm = (claim: Claim): ClaimForm => ({
  id: claim.id,
  quantity: claim.quantity,
  comparator: claim.comparator,
  value: typed(claim.value),
  unit: claim.unit,
  duration: typed(claim.duration),
  eachLeg: claim.eachLeg ? 'yes' : 'no',
  load: typed(claim.load),
  volts: claim.volts ? [...new Set([claim.volts.from, claim.volts.to])].join(' to ') : '',
  room: typedTemperature(claim.room),
  readWhere: claim.readWhere,
  port: claim.port ?? '',
  portVolts: typed(claim.portVolts),
  mode: claim.mode ?? '',
  means: claim.means ?? '',
  source: claim.source ?? '',
})

/** Text that was left empty is absent, not an empty string. */
const words = (text: string) => text.trim() || undefined

/** The unit that was typed; what cannot be read is reported at its field. */
export function formToUnit(form: UnitForm, report: Report): unknown {
  const number = (path: string, text: string, parse?: (text: string) => Parsed) => {
    const { value, why } = readNumber(text, parse)
    report(path, why)
    return value
  }
  const volts = (path: string, text: string) => {
    if (!text.trim()) return undefined
    const [from, to = from, ...more] = text.split(/\bto\b|[–-]/).map((one) => readNumber(one).value)
    if (from !== undefined && to !== undefined && !more.length) return { from, to }
    report(path, 'Input volts: like 24 to 28, or 13.8.')
    return undefined
  }
  const sizes = form.size.map((text, i) => number(`size.${i}`, text, readSide))
  return {
    name: form.name,
    kind: form.kind,
    inputVoltage: number('inputVoltage', form.inputVoltage),
    outputVoltage: number('outputVoltage', form.outputVoltage),
    outputFrequency: number('outputFrequency', form.outputFrequency),
    phase: form.phase,
    wave: form.wave,
    provenance: form.provenance.how ? { ...form.provenance, note: words(form.provenance.note) } : undefined,
    revision: words(form.revision),
    dateCode: words(form.dateCode),
    firmware: words(form.firmware),
    price: form.price.amount.trim()
      ? {
          amount: number('price.amount', form.price.amount),
          currency: form.price.currency,
          on: words(form.price.on),
        }
      : undefined,
    mass: number('mass', form.mass, readMass),
    size: sizes.some((size) => size !== undefined) ? sizes : undefined,
    note: words(form.note),
    region: words(form.region),
    bonding: words(form.bonding),
    ...boxOf(form, number, report),
    ...(form.features.length ? { features: form.features } : {}),
    leads: leadsOf(form, number, report),
    claims: form.claims.map((claim, i) => {
      const at = `claims.${i}`
      const value = number(`${at}.value`, claim.value)
      if (claim.quantity === 'efficiency' && claim.unit === '%' && value !== undefined && value > 100) {
        report(`${at}.value`, 'An efficiency over 100 % cannot be; is it a misprint, or another quantity?')
      }
      return {
        ...claim,
        eachLeg: claim.eachLeg === 'yes' || undefined,
        value,
        duration: number(`${at}.duration`, claim.duration),
        load: number(`${at}.load`, claim.load),
        volts: volts(`${at}.volts`, claim.volts),
        room: number(`${at}.room`, claim.room, readTemperature),
        port: words(claim.port),
        portVolts: number(`${at}.portVolts`, claim.portVolts),
        mode: words(claim.mode),
        means: words(claim.means),
        source: words(claim.source),
      }
    }),
  }
}

type ReadNumber = (path: string, text: string, parse?: (text: string) => Parsed) => number | undefined

/** What is in the box, and what power comes out of; a list without lines is absent. */
function boxOf(form: UnitForm, number: ReadNumber, report: Report): { box?: unknown[]; outlets?: unknown[] } {
  const box = form.box.map(({ what, count, remark, needs }, i) => ({
    what,
    count: number(`box.${i}.count`, count),
    remark: words(remark),
    needs: words(needs),
  }))
  const rating = (path: string, text: string) => {
    const said = words(text)
    if (said !== undefined && !parseRating(said))
      report(path, 'Rated: amps or watts, as in “15 A”, “12 V 10 A” or “100 W”.')
    return said
  }
  const outlets = form.outlets.map(({ what, count, rated, shares, remark }, i) => ({
    what,
    count: number(`outlets.${i}.count`, count),
    rated: rating(`outlets.${i}.rated`, rated),
    shares: rating(`outlets.${i}.shares`, shares),
    remark: words(remark),
  }))
  return { ...(box.length ? { box } : {}), ...(outlets.length ? { outlets } : {}) }
}

function leadsOf({ leads }: UnitForm, number: ReadNumber, report: Report): unknown {
  if (!leads.gauge.trim() && !leads.length.trim() && !leads.fuse.trim()) return undefined
  const gauge = parseGauge(leads.gauge)
  if (!gauge.ok) report('leads.gauge', gauge.why)
  return {
    gauge: gauge.ok ? gauge.gauge : undefined,
    length: number('leads.length', leads.length, readLength),
    fuse: number('leads.fuse', leads.fuse),
  }
}
