import { catalogue } from '../catalogue'
import { isFigure, sayFigure, type Derived } from '../figures'
import type { StepFigures } from '../ladder'
import { bankCapacity } from '../supply'
import type { Analysis } from '../trials'
import { ratedPower } from '../units'
import { quantityOf, type QuantityId } from './quantities'
import { sheetOf, type TypedQuantity } from './sheet'

/** A line of the sheet as it would be typed. */
export interface GivenLine {
  readonly id: QuantityId
  readonly text: string
}

/** Figures of the catalogue that begin a sheet; none follows from the others. */
const ofStep = { P_C: 'watts', eta_unit: 'efficiency', V_C: 'acVolts' } as const
const ofRig = {
  E: 'rest',
  R_bank: 'bankOhm',
  'R_path of rig': 'leadsOhm',
  'idle watts': 'idleWatts',
} as const

/** A trial’s figures as lines of a sheet, with their uncertainties: what was measured, and what of bank and label is noted. */
export function givenBy(analysis: Analysis, step?: StepFigures): GivenLine[] {
  const { unit, rig } = analysis.record.revision
  const measured = (id: QuantityId, figure: Derived | undefined): GivenLine[] =>
    figure && isFigure(figure) && figure.x.value > 0
      ? [{ id, text: sayFigure({ ...figure, unit: quantityOf(id).kind }) }]
      : []
  const noted = (id: QuantityId, value: number | undefined, words: string): GivenLine[] =>
    value === undefined ? [] : [{ id, text: `${value} ${words}` }]
  return [
    ...Object.entries(ofStep).flatMap(([id, quantity]) =>
      step ? measured(quantity, catalogue.step(id)?.of(step, analysis)) : [],
    ),
    ...Object.entries(ofRig).flatMap(([id, quantity]) => measured(quantity, catalogue.rig(id)?.of(analysis))),
    ...noted('rating', ratedPower(unit), 'W'),
    ...noted('ah', bankCapacity(rig.bank), 'Ah'),
    ...noted('usable', rig.bank.usableShare && 100 * rig.bank.usableShare, '%'),
  ]
}

/**
 * Which of the lines that a trial gave must go for one that was typed to hold: the first that ends what contradicts, and so on
 * ("as on that rig, but 25 mm²"). Empty where nothing contradicts, or nothing that was given is to blame.
 */
export function giveWay(
  typed: readonly TypedQuantity[],
  given: ReadonlySet<QuantityId>,
  added: QuantityId,
): QuantityId[] {
  const { clashes } = sheetOf(typed)
  if (!clashes.length) return []
  const among = new Set(clashes.flatMap((clash) => clash.among))
  const may = typed.filter(({ id }) => given.has(id) && id !== added && among.has(id))
  const without = (gone: QuantityId) => typed.filter(({ id }) => id !== gone)
  const ends = may.find(({ id }) => !sheetOf(without(id)).clashes.length) ?? may[0]
  return ends ? [ends.id, ...giveWay(without(ends.id), given, added)] : []
}
