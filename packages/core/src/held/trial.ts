import { quantityData } from '../evidence'
import type { StepFigures } from '../ladder'
import type { Analysis } from '../trials'
import { ratedPower } from '../units'
import { heldAgainst, stated, type HeldFigure, type Reference } from './against'

const nothing = 'nothing connected'
const before = 'the step before'
const noRating = 'No continuous power is promised on the label.'

const label = 'nominal or rated'

const rated = ({ record }: Analysis, asShare: Reference['asShare'] & string): Reference => ({
  against: label,
  reference: stated('P_rated', 'W', ratedPower(record.revision.unit), noRating),
  asShare,
})

const nominalVolts = (nominal: number): Reference => ({
  against: label,
  reference: stated('V_nom', 'V', nominal, ''),
})

const nominalHertz = ({ record }: Analysis): Reference => ({
  against: label,
  reference: stated('f_nom', 'Hz', record.revision.unit.outputFrequency, ''),
})

/** What a step is held against: nothing connected, nominal or the rating, and the step before it. */
export function heldStep(step: StepFigures, analysis: Analysis): readonly HeldFigure[] {
  const { steps } = analysis.ladder
  const last = steps[steps.findIndex((one) => one.step.id === step.step.id) - 1]
  const first = { missing: 'It is the first step.' }
  const read = (quantity: 'V_C' | 'f' | 'THD' | 'V_A' | 'V_B', more: readonly Reference[] = []) =>
    heldAgainst(quantityData[quantity].words, step.read[quantity], [
      { against: nothing, reference: analysis.noLoad.on.read[quantity] },
      ...more,
      { against: before, reference: last?.read[quantity] ?? first },
    ])
  return [
    read('V_C', [nominalVolts(step.nominal)]),
    heldAgainst(quantityData.P_C.words, step.P_C, [
      rated(analysis, 'with what is left'),
      { against: before, reference: last?.P_C ?? first },
    ]),
    read('f', [nominalHertz(analysis)]),
    read('THD'),
    read('V_A'),
    read('V_B'),
    heldAgainst('efficiency of the unit', step.eta_unit, [
      { against: before, reference: last?.eta_unit ?? first },
    ]),
  ]
}

/** What is read with nothing connected is held against what the label states. */
export function heldNoLoad(analysis: Analysis): readonly HeldFigure[] {
  const { read, nominal, P_idle } = analysis.noLoad.on
  return [
    heldAgainst(quantityData.V_C.words, read.V_C, [nominalVolts(nominal)]),
    heldAgainst(quantityData.f.words, read.f, [nominalHertz(analysis)]),
    heldAgainst('idle watts', P_idle, [rated(analysis, 'alone')]),
  ]
}

/** What of held figures can be told: known figures, and of their references those that are known. */
export const tellable = (figures: readonly HeldFigure[]): readonly HeldFigure[] =>
  figures
    .map((one) => ({ ...one, held: one.held.filter(({ difference }) => 'x' in difference) }))
    .filter(({ held }) => held.length > 0)
