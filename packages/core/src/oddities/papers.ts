import { isFigure, sayFigure } from '../figures'
import { claimValue, sayClaim } from '../findings'
import { contradict, subtract, expanded } from '../meters'
import { cables, hasFuse } from '../rigs'
import type { Notice, Oddity } from './oddity'

/** 16: W for VA, Ah for Wh; 30: units mixed. */
export const noticeClaimUnits: Notice = ({ analysis, unit }) => {
  const revision = analysis.record.revision.number
  return unit.claims.flatMap((claim): Oddity[] => {
    const at = { revision, claim: claim.id }
    const power = claim.quantity === 'continuous power' || claim.quantity === 'surge power'
    if (power && claim.unit === 'VA') {
      return [
        {
          number: 16,
          odd: `${claim.quantity} is printed in VA.`,
          why: 'VA are not watts: into a load of power factor 0.8 they are a fifth more.',
          todo: 'Judge it with resistive loads, and say so.',
          at,
        },
      ]
    }
    if (claim.quantity === 'energy' && claim.unit === 'Ah') {
      return [
        {
          number: 16,
          odd: 'Energy is printed in Ah.',
          why: 'Ah say nothing without the voltage they are drawn at.',
          todo: 'Find the Wh, or the mean discharge volts.',
          at,
        },
      ]
    }
    if (!allowed[claim.quantity].includes(claim.unit)) {
      return [
        {
          number: 30,
          odd: `${claim.quantity} in ${claim.unit}: the unit does not fit the quantity.`,
          why: 'The claim cannot be judged as it stands.',
          todo: 'Look at the label again.',
          at,
        },
      ]
    }
    return []
  })
}

const allowed: Record<Parameters<typeof claimValue>[0]['quantity'], readonly string[]> = {
  'continuous power': ['W', 'kW', 'VA'],
  'surge power': ['W', 'kW', 'VA'],
  efficiency: ['%'],
  'idle draw': ['W', 'A'],
  'search-mode draw': ['W', 'A'],
  regulation: ['%', 'V'],
  THD: ['%'],
  'output voltage': ['V', '%'],
  frequency: ['Hz', '%'],
  'alarm voltage': ['V'],
  'cutoff voltage': ['V'],
  'transfer time': ['s', 'ms'],
  energy: ['Wh', 'Ah'],
}

/** 19: missing disclosure. */
export const noticeDisclosure: Notice = ({ analysis, unit }) =>
  unit.provenance
    ? []
    : [
        {
          number: 19,
          odd: 'Where this unit came from is not said.',
          why: 'Readers weigh a result by who paid for the unit.',
          todo: 'Say whether it was bought, lent or given by the maker.',
          at: { revision: analysis.record.revision.number, part: 'unit' },
        },
      ]

/** 21: DC watts against an AC rating. */
export const noticeDcAgainstAc: Notice = ({ analysis, unit }) => {
  const claim = unit.claims.find((candidate) => candidate.quantity === 'continuous power')
  if (!claim) return []
  const rated = claimValue(claim)
  const outputs = analysis.steps.map((step) => step.P_C).filter(isFigure)
  const inputs = analysis.steps.map((step) => step.P_B).filter(isFigure)
  const top = (figures: typeof inputs) =>
    figures.reduce<(typeof inputs)[number] | undefined>(
      (most, x) => (!most || x.x.value > most.x.value ? x : most),
      undefined,
    )
  const [out, into] = [top(outputs), top(inputs)]
  if (!into || into.x.value < rated || (out && out.x.value + expanded(out.x) >= rated)) return []
  return [
    {
      number: 21,
      odd: `Input reached ${sayFigure(into)}, output ${out ? `only ${sayFigure(out)}` : 'was not read'}, for ${sayClaim(claim)}.`,
      why: 'A rating is AC watts at the outlet; DC watts never judge it.',
      todo: 'Add load until the output reaches the rating.',
      at: { revision: analysis.record.revision.number, claim: claim.id },
    },
  ]
}

/** 26: no fuse in the rig. */
export const noticeNoFuse: Notice = ({ analysis }) =>
  hasFuse(analysis.record.revision.rig)
    ? []
    : [
        {
          number: 26,
          odd: 'There is no fuse in this rig.',
          why: 'A battery gives thousands of amps into a short; cables burn before anyone acts.',
          todo: 'Fit a fuse close to the post, rated for the bank’s voltage and breaking capacity.',
          at: { revision: analysis.record.revision.number, part: 'rig' },
        },
      ]

/** 28: different tests that ended at the same watts. */
export const noticeEqualCeilings: Notice = ({ analysis }) => {
  const ended = analysis.steps.filter((step) =>
    step.step.readings.some(
      (entry) =>
        entry.reading.end === 'alarmed' ||
        entry.reading.end === 'tripped' ||
        entry.reading.alarm === 'low voltage',
    ),
  )
  for (const [i, first] of ended.entries()) {
    for (const second of ended.slice(i + 1)) {
      if (!isFigure(first.P_B) || !isFigure(second.P_B) || first.load === second.load) continue
      if (
        contradict(first.P_B.x, second.P_B.x) ||
        Math.abs(subtract(first.P_B.x, second.P_B.x).value) > 0.03 * first.P_B.x.value
      )
        continue
      return [
        {
          number: 28,
          odd: `Two different tests ended at the same input, ${sayFigure(first.P_B)} and ${sayFigure(second.P_B)}.`,
          why: 'When continuous and peak end alike, the supply is the usual cause, not the unit.',
          todo: 'Look at V_A and V_B there; try a stiffer bank before blaming the unit.',
          at: { revision: analysis.record.revision.number, step: second.step.id },
        },
      ]
    }
  }
  return []
}

/** 30: a gauge that cannot carry this: thickness in mm taken for mm², or the other way. */
export const noticeGauge: Notice = ({ analysis }) => {
  const { rig, number } = analysis.record.revision
  const highest = Math.max(
    0,
    ...analysis.steps.map((step) => (isFigure(step.read.I) ? step.read.I.x.value : 0)),
  )
  return cables(rig).flatMap(({ element }): Oddity[] => {
    const area = element.conductors.reduce(
      (sum, { gauge, runs }) => sum + (gauge.unit === 'mm²' ? gauge.area * runs : NaN),
      0,
    )
    const density = highest / area
    if (!(density > 15)) return []
    return [
      {
        number: 30,
        odd: `${highest.toFixed(0)} A through ${area} mm² is ${density.toFixed(0)} A/mm².`,
        why: 'A thickness in mm is easily taken for an area in mm².',
        todo: `Check ${element.name}.`,
        at: { revision: number, part: 'rig' },
      },
    ]
  })
}
