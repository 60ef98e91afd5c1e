import type { ElementKind } from '@even-watt/contract'
import {
  blankConductor,
  usualLead,
  usualLink,
  type BatteryForm,
  type ElementForm,
  type JoinForm,
  type RigForm,
} from './form'

/** New ids come from outside, so that what is done here can be told beforehand. */
export type MakeId = () => string

export type Side = 'positive' | 'negative'
export type Sides = Pick<RigForm, Side>

/** Where an element stands. */
export interface Spot {
  readonly side: Side
  readonly index: number
}

const otherSide: Record<Side, Side> = { positive: 'negative', negative: 'positive' }

/** A new element, named after its side and kind so that it can be told apart at once. */
export const newElement = (
  kind: ElementKind,
  side: Side,
  others: readonly ElementForm[],
  id: string,
): ElementForm => ({
  id,
  kind,
  name: freshName(`${side} ${kind === 'cable' ? 'lead' : kind}`, others),
  conductors: kind === 'cable' ? [blankConductor] : [],
  insulation: kind === 'cable' ? '105' : '',
  continuous: '',
  shortCurrent: '',
  shortSeconds: '',
  resistance: '',
  hole: '',
  stud: '',
  warning: '',
})

function freshName(wanted: string, others: readonly { name: string }[]): string {
  const used = new Set(others.map(({ name }) => name))
  if (!used.has(wanted)) return wanted
  // "battery 1" is followed by "battery 2", "L24 upper" by "L24 upper 2".
  const [, stem = wanted, last = '1'] = /^(.*\S)\s+(\d{1,3})$/.exec(wanted) ?? []
  for (let n = Number(last) + 1; ; n++) {
    const name = `${stem} ${n}`
    if (!used.has(name)) return name
  }
}

const insert = <T>(list: readonly T[], index: number, item: T): T[] => [
  ...list.slice(0, index),
  item,
  ...list.slice(index),
]

export const addElement = (sides: Sides, { side, index }: Spot, element: ElementForm): Sides => ({
  ...sides,
  [side]: insert(sides[side], index, element),
})

export const removeElement = (sides: Sides, { side, index }: Spot): Sides => ({
  ...sides,
  [side]: sides[side].filter((_, i) => i !== index),
})

/** Moves an element to a place counted without itself; places beyond the ends are the ends. */
export function moveElement(sides: Sides, from: Spot, to: Spot): Sides {
  const element = sides[from.side][from.index]
  if (!element) return sides
  const without = removeElement(sides, from)
  const index = Math.max(0, Math.min(without[to.side].length, to.index))
  return addElement(without, { side: to.side, index }, element)
}

/** To the other conductor, at about the same place. */
export const crossOver = (sides: Sides, from: Spot): { sides: Sides; to: Spot } => {
  const side = otherSide[from.side]
  const to = { side, index: Math.min(from.index, sides[side].length) }
  return { sides: moveElement(sides, from, to), to }
}

const newBattery = (name: string, id: string, like?: BatteryForm): BatteryForm => ({
  id,
  name,
  chemistry: like?.chemistry ?? 'lithium iron phosphate',
  nominal: like?.nominal ?? '12.8',
  capacity: like?.capacity ?? '100',
  rest: '',
  resistance: '',
  limit: like?.limit ?? '',
  age: '',
  open: 'no',
})

type BankForm = RigForm['bank']

const allBatteries = (bank: BankForm) => bank.strings.flat()

/** One more string beside the others, alike in all that is known of them, with a link to its neighbour. */
export function addString(bank: BankForm, makeId: MakeId): BankForm {
  const like = bank.strings.at(-1) ?? []
  const added: BatteryForm[] = []
  for (const battery of like) {
    const name = freshName(battery.name, [...allBatteries(bank), ...added])
    const { rest, resistance } = battery
    added.push({ ...newBattery(name, makeId(), battery), rest, resistance })
  }
  const { join } = bank
  return {
    ...bank,
    strings: [...bank.strings, added],
    join: {
      ...join,
      positive: [...join.positive, usualLink],
      negative: [...join.negative, usualLink],
      leads: [...join.leads, usualLead],
    },
  }
}

/** One more battery in series with those of a string. */
export function addInSeries(bank: BankForm, string: number, id: string): BankForm {
  const like = bank.strings[string]?.at(-1)
  const battery = newBattery(freshName(like?.name ?? 'battery', allBatteries(bank)), id, like)
  return { ...bank, strings: bank.strings.map((one, i) => (i === string ? [...one, battery] : one)) }
}

/** Takes a battery away; the last of a string takes the string and its link with it. The last of all stays. */
export function removeBattery(bank: BankForm, string: number, index: number): BankForm {
  const here = bank.strings[string]
  if (!here || allBatteries(bank).length <= 1) return bank
  if (here.length > 1) {
    return {
      ...bank,
      strings: bank.strings.map((one, i) => (i === string ? one.filter((_, k) => k !== index) : one)),
    }
  }
  const strings = bank.strings.filter((_, i) => i !== string)
  return { ...bank, strings, join: withoutString(bank.join, string, strings.length) }
}

function withoutString(join: JoinForm, string: number, left: number): JoinForm {
  const cut = (links: readonly string[]) => links.filter((_, i) => i !== Math.min(string, links.length - 1))
  const at = (text: string) => String(Math.min(Number(text) || 1, left))
  return {
    ...join,
    positive: cut(join.positive),
    negative: cut(join.negative),
    positiveAt: at(join.positiveAt),
    negativeAt: at(join.negativeAt),
    leads: join.leads.filter((_, i) => i !== string),
  }
}

export const blankRig = (makeId: MakeId): RigForm => ({
  name: '',
  ambient: '25',
  leads: '',
  bond: '',
  arrangement: '',
  note: '',
  bank: {
    name: '',
    strings: [[newBattery('battery 1', makeId())]],
    join: {
      kind: 'in line',
      positive: [],
      negative: [],
      positiveAt: '1',
      negativeAt: '1',
      leads: [usualLead],
    },
    usableShare: '',
    rippleResistance: '',
  },
  support: { kind: 'none', name: '', current: '', ownUse: '0' },
  positive: [],
  negative: [],
  typical: {},
  assignments: [],
})
