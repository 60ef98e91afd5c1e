import type { Rig } from '@even-watt/contract'
import { derive, estimated, isFigure, sayFigure, type Derived, type Figure } from '../figures'
import type { StepFigures } from '../ladder'
import { expanded, multiply, subtract, sumOf, type Uncertain } from '../meters'
import { expectedResistance, isCable, placed, supportCurrent, type SurveyLine } from '../rigs'
import { isFit, type SupplyEvidence } from './measuredSupply'

type PartKind = 'bank' | 'leads' | 'devices' | 'joints' | 'element' | 'unit'

/** One part's share of what was lost between the batteries' own EMF and the outlet. */
export interface LostPart {
  readonly kind: PartKind
  /** "negative lug", "bank", "unit". */
  readonly name: string
  readonly element?: string
  /** V missing at B because of it; absent for the unit. */
  readonly volts?: Figure
  readonly watts: Figure
  /** W above what a sound part would take, when that is clear of its uncertainty. */
  readonly excess?: Figure
}

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
  const sentence = sentenceFor(parts, total, culprit, blamed.length > 0)
  return { parts, culprit, sentence: [sentence, supportSentence(step, rig)].filter(Boolean).join(' ') }
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
    `I − ${given} A of the ${rig.support.name}`,
  )
}

function bankPart(step: StepFigures, { known, atA }: SupplyEvidence, rig: Rig): LostPart[] {
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

function pathParts(step: StepFigures, evidence: SupplyEvidence, rig: Rig): LostPart[] {
  const I = step.read.I
  if (!isFigure(I) || !isFigure(step.drop)) return []
  const survey = evidence.surveys.at(-1)
  const surveyed = new Map((survey?.lines ?? []).map((line) => [line.element.id, line]))
  const parts: LostPart[] = []
  let rest: Figure = step.drop
  const take = (
    kind: PartKind,
    name: string,
    R: Uncertain,
    inputs: readonly Figure[],
    formula: string,
    line?: SurveyLine,
  ) => {
    const volts = derive(`V of ${name}`, 'V', `${formula} · I`, [...inputs, I], multiply(R, I.x))
    const watts = derive(
      `P of ${name}`,
      'W',
      `${formula} · I²`,
      [...inputs, I],
      multiply(multiply(R, I.x), I.x),
    )
    if (!isFigure(volts) || !isFigure(watts)) return
    const left = derive('rest of the path', 'V', 'drop − parts', [rest, volts], subtract(rest.x, volts.x))
    if (isFigure(left)) rest = left
    parts.push({
      kind,
      name,
      volts,
      watts,
      ...(line ? { element: line.element.id } : {}),
      ...excessOf(line, I),
    })
  }
  const groups: Record<'leads' | 'devices', { R: Uncertain[]; names: string[] }> = {
    leads: { R: [], names: [] },
    devices: { R: [], names: [] },
  }
  for (const { element } of placed(rig)) {
    const line = surveyed.get(element.id)
    if (line && isFigure(line.resistance)) {
      take('element', element.name, line.resistance.x, [line.resistance], 'R surveyed', line)
    } else if (isCable(element)) {
      groups.leads.R.push(expectedResistance(element, rig.typical, 20, evidence.scope))
    } else if (
      element.kind === 'fuse' ||
      element.kind === 'breaker' ||
      element.kind === 'shunt' ||
      element.kind === 'isolator'
    ) {
      groups.devices.R.push(expectedResistance(element, rig.typical, 20, evidence.scope))
    }
  }
  if (groups.leads.R.length) take('leads', 'leads', sumOf(groups.leads.R), [], 'R computed at 20 °C')
  if (groups.devices.R.length) take('devices', 'fuse, breaker, shunt', sumOf(groups.devices.R), [], 'R usual')
  const everySurveyed = placed(rig).every(({ element }) => surveyed.has(element.id))
  if (!everySurveyed) {
    const watts = derive('P of joints', 'W', '(drop − leads − devices)·I', [rest, I], multiply(rest.x, I.x))
    if (isFigure(watts) && rest.x.value > 0) {
      const lugs = placed(rig).filter(({ element }) => !surveyed.has(element.id) && !isCable(element))
      const sound = sumOf(
        lugs.map(({ element }) => expectedResistance(element, rig.typical, 20, evidence.scope)),
      )
      const excess = derive(
        'excess of joints',
        'W',
        'P of joints − what sound joints take',
        [watts],
        subtract(watts.x, multiply(multiply(sound, I.x), I.x)),
      )
      const clear = isFigure(excess) && excess.x.value > Math.max(3, expanded(excess.x))
      parts.push({ kind: 'joints', name: 'joints', volts: rest, watts, ...(clear ? { excess } : {}) })
    }
  }
  return parts
}

function excessOf(line: SurveyLine | undefined, I: Figure): { excess?: Figure } {
  if (!line?.gain) return {}
  const watts = derive('excess', 'W', '(R − R_expected)·I²', [I], multiply(multiply(line.gain, I.x), I.x))
  return isFigure(watts) ? { excess: watts } : {}
}

/** What the support source carried, so that it is not taken for the bank's strength. */
function supportSentence(step: StepFigures, rig: Rig): string {
  const I = step.read.I
  const current = bankCurrent(step, rig)
  if (!rig.support || !isFigure(I) || !isFigure(current)) return ''
  const carried = I.x.value - current.x.value
  return carried > 0
    ? `The ${rig.support.name} carried ${carried.toFixed(1)} A of it, the bank the rest.`
    : ''
}

function sentenceFor(
  parts: readonly LostPart[],
  total: number,
  culprit: LostPart | undefined,
  blamed: boolean,
): string {
  if (!culprit) return 'Nothing to split: volts at A and B and the current are needed.'
  const share = total > 0 ? Math.round((100 * culprit.watts.x.value) / total) : 0
  const whose = culprit.kind === 'unit' ? 'are the unit’s own' : `went into the ${culprit.name}`
  const lost = `${sayFigure(culprit.watts)} of the ${total.toFixed(0)} W lost (${share} %) ${whose}`
  if (blamed && culprit.excess) {
    const sound = Math.max(0, culprit.watts.x.value - culprit.excess.x.value)
    return `${lost}; sound, it would take ${sound.toFixed(1)} W.`
  }
  return parts.length > 1 ? `${lost}; no part takes much more than it should.` : `${lost}.`
}
