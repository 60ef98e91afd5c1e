import type { PathElement, Rig } from '@even-watt/contract'
import { derive, isFigure, type Figure } from '../figures'
import type { StepFigures } from '../ladder'
import { expanded, multiply, subtract, sumOf, type Uncertain } from '../meters'
import { expectedResistance, isCable, isDevice, placed, type SurveyLine } from '../rigs'
import type { LostPart, PathKind } from './lostPart'
import type { SupplyEvidence } from './measuredSupply'

const kindOf = (element: PathElement): PathKind =>
  isCable(element) ? 'leads' : isDevice(element) ? 'devices' : 'joints'

/**
 * What one step lost between the posts and the unit, each surveyed element by itself; what was not surveyed by what it is
 * expected to take, and what then is left, as joints (docs/method/attribution.md).
 */
export function pathParts(step: StepFigures, evidence: SupplyEvidence, rig: Rig): LostPart[] {
  const I = step.read.I
  if (!isFigure(I) || !isFigure(step.drop)) return []
  const survey = evidence.surveys.at(-1)
  const surveyed = new Map((survey?.lines ?? []).map((line) => [line.element.id, line]))
  const parts: LostPart[] = []
  let rest: Figure = step.drop
  const take = (
    kind: PathKind,
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
  const expected = (element: PathElement) => expectedResistance(element, rig.typical, 20, evidence.scope)
  const unsurveyed: Record<PathKind, Uncertain[]> = { leads: [], devices: [], joints: [] }
  for (const { element } of placed(rig)) {
    const line = surveyed.get(element.id)
    const kind = kindOf(element)
    if (line && isFigure(line.resistance)) {
      take(kind, element.name, line.resistance.x, [line.resistance], 'R surveyed', line)
    } else unsurveyed[kind].push(expected(element))
  }
  const { leads, devices, joints } = unsurveyed
  if (leads.length) take('leads', 'leads', sumOf(leads), [], 'R computed at 20 °C')
  if (devices.length) take('devices', deviceWords(rig, surveyed), sumOf(devices), [], 'R usual')
  const everySurveyed = placed(rig).every(({ element }) => surveyed.has(element.id))
  // Nothing is expected of leads that nobody described: they stand together with the joints.
  const unknown = rig.leads === 'not known'
  if (!everySurveyed || unknown) {
    const watts = derive('P of joints', 'W', '(drop − leads − devices)·I', [rest, I], multiply(rest.x, I.x))
    if (isFigure(watts) && rest.x.value > 0) {
      const excess = derive(
        'excess of joints',
        'W',
        'P of joints − what sound joints take',
        [watts],
        subtract(watts.x, multiply(multiply(sumOf(joints), I.x), I.x)),
      )
      const clear = !unknown && isFigure(excess) && excess.x.value > Math.max(3, expanded(excess.x))
      const name = unknown ? 'leads and joints' : 'joints'
      parts.push({ kind: 'joints', name, volts: rest, watts, ...(clear ? { excess } : {}) })
    }
  }
  return parts
}

function excessOf(line: SurveyLine | undefined, I: Figure): { excess?: Figure } {
  if (!line?.gain) return {}
  const watts = derive('excess', 'W', '(R − R_expected)·I²', [I], multiply(multiply(line.gain, I.x), I.x))
  return isFigure(watts) ? { excess: watts } : {}
}

/** The kinds of device there are: "fuse, shunt". */
const deviceWords = (rig: Rig, surveyed: ReadonlyMap<string, unknown>): string =>
  [
    ...new Set(
      placed(rig).flatMap(({ element }) =>
        isDevice(element) && !surveyed.has(element.id) ? [element.kind] : [],
      ),
    ),
  ].join(', ')
