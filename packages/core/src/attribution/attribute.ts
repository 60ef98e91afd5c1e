import type { Rig } from '@even-watt/contract'
import { derive, estimated, formatNumber, isFigure, say, sayFigure, type Derived } from '../figures'
import type { StepFigures } from '../ladder'
import { multiply, subtract } from '../meters'
import { supportCurrent } from '../rigs'
import { isFit, type SupplyEvidence } from './measuredSupply'
import type { LostPart } from './lostPart'
import { pathParts } from './pathParts'

/** A part is blamed for W above what a sound one takes only from here on, and from this share of all that was lost. */
const leastBlame = 1
const leastShare = 0.03

export interface Attribution {
  readonly parts: readonly LostPart[]
  /** The part with the clearest excess, else the largest; undefined where nothing was measured. */
  readonly culprit: LostPart | undefined
  readonly sentence: string
}

/**
 * Splits what one step lost between bank, leads, each surveyed element or the joints together, and unit
 * (docs/method/attribution.md): watts by current and the volts across each part. Parts that were not measured one by one
 * stand together under one name.
 */
export function attributeStep(step: StepFigures, evidence: SupplyEvidence, rig: Rig): Attribution {
  const parts: LostPart[] = [
    ...bankPart(step, evidence, rig),
    ...pathParts(step, evidence, rig),
    ...(isFigure(step.P_loss) ? [{ kind: 'unit' as const, name: 'unit', watts: step.P_loss }] : []),
  ]
  const total = parts.reduce((sum, { watts }) => sum + watts.x.value, 0)
  const blamed = parts
    .filter(({ excess }) => excess && excess.x.value > Math.max(leastBlame, leastShare * total))
    .sort((a, b) => (b.excess?.x.value ?? 0) - (a.excess?.x.value ?? 0))
  const culprit = blamed[0] ?? [...parts].sort((a, b) => b.watts.x.value - a.watts.x.value)[0]
  const assumed = isFigure(step.read.I) && step.read.I.grade === 'estimated'
  const sentence = sentenceFor(parts, total, culprit, { blamed: blamed.length > 0, assumed })
  const words = [sentence, loweredSentence(step, evidence), supportSentence(step, rig)]
  return { parts, culprit, sentence: words.filter(Boolean).join(' ') }
}

/** Current of the bank: as read; else the unit's less what the support source is said to give. */
function bankCurrent(step: StepFigures, rig: Rig): Derived {
  const { I, I_bank } = step.read
  if (isFigure(I_bank) || !rig.support || !isFigure(I)) return isFigure(I_bank) ? I_bank : I
  const given = supportCurrent(rig)
  return estimated(
    'I_bank',
    'A',
    { value: Math.max(0, I.x.value - given), sources: I.x.sources },
    `I − ${say(given, 'A')} of the ${rig.support.name}`,
  )
}

function bankPart(step: StepFigures, { known, atA, off }: SupplyEvidence, rig: Rig): LostPart[] {
  if (off.has(step.step.id)) return []
  const { E } = known
  const V_A = step.read.V_A
  const current = bankCurrent(step, rig)
  if (!isFigure(E) || !isFigure(V_A) || !isFigure(current)) return []
  const sag = derive('E − V_A', 'V', 'E − V_A', [E, V_A], subtract(E.x, V_A.x), [
    isFit(atA) ? 'E from the ladder itself.' : 'E from the rest volts of the bank.',
  ])
  if (!isFigure(sag) || sag.x.value < 0) return []
  const watts = derive('P_bank', 'W', '(E − V_A)·I_bank', [sag, current], multiply(sag.x, current.x))
  if (!isFigure(watts)) return []
  return [{ kind: 'bank', name: 'bank', volts: sag, watts }]
}

/** Why the bank has no part in a step whose input stood under what the bank gives. */
function loweredSentence({ step }: StepFigures, { off }: SupplyEvidence): string {
  if (!off.has(step.id)) return ''
  const lack = off.get(step.id)
  return lack === undefined
    ? 'Its input was lowered on purpose: nothing of that is booked to the bank.'
    : `Its input stood ${say(lack, 'V')} under the line of the other steps, which is not booked to the bank: mark it if it was lowered on purpose, else look whether the bank ran low.`
}

/** What the support source carried, so that it is not taken for the bank's strength. */
function supportSentence(step: StepFigures, rig: Rig): string {
  const I = step.read.I
  const current = bankCurrent(step, rig)
  if (!rig.support || !isFigure(I) || !isFigure(current)) return ''
  const carried = I.x.value - current.x.value
  return carried > 0
    ? `The ${rig.support.name} carried ${formatNumber(carried, 1)} A of it, the bank the rest.`
    : ''
}

const soundOne = ({ kind, element }: LostPart): string =>
  kind === 'joints' ? (element ? 'a sound joint' : 'sound joints') : 'a sound one'

function sentenceFor(
  parts: readonly LostPart[],
  total: number,
  culprit: LostPart | undefined,
  { blamed, assumed }: { readonly blamed: boolean; readonly assumed: boolean },
): string {
  if (!culprit) return 'Nothing to split: volts at A and B and the current are needed.'
  const share = total > 0 ? Math.round((100 * culprit.watts.x.value) / total) : 0
  const whose = culprit.kind === 'unit' ? 'are the unit’s own' : `went into the ${culprit.name}`
  const where = parts.some(({ kind }) => kind === 'unit') ? 'lost' : 'lost before the unit'
  const sure =
    culprit.watts.grade === 'estimated' ? (assumed ? 'Estimated, with no ammeter: ' : 'Estimated: ') : ''
  const lost = `${sure}${sayFigure(culprit.watts)} of the ${formatNumber(total, 0)} W ${where} (${share} %) ${whose}`
  if (blamed && culprit.excess) {
    const sound = Math.max(0, culprit.watts.x.value - culprit.excess.x.value)
    return sound < 0.05
      ? `${lost}; ${soundOne(culprit)} would take next to nothing.`
      : `${lost}; ${soundOne(culprit)} would take ${formatNumber(sound, 1)} W.`
  }
  return parts.length > 1 ? `${lost}; no part takes much more than it should.` : `${lost}.`
}
