import { formatNumber, plain } from '../figures'
import type { PathElement, Rig } from '@even-watt/contract'
import { ampacity } from '../conductors'
import { bankNominal, restSpread, sharing } from '../supply'
import { hasFuse, isCable, placed, protections, type SideName } from './elements'

/** Something about a rig that should be said at one of its parts; a danger is said strongly. */
export interface RigRemark {
  readonly at: string | SideName | 'bank'
  readonly weight: 'danger' | 'remark'
  readonly sentence: string
}

/** Everything that is wrong or dangerous about a rig as it is drawn, each a sentence at its part. */
export function checkRig(rig: Rig): RigRemark[] {
  return [
    ...openPath(rig),
    ...fuses(rig),
    ...bankRemarks(rig),
    ...placed(rig).flatMap(({ element }) => [...thin(element), ...studs(element)]),
  ]
}

/** mm by which a hole may be wider than its stud and still press on enough of its face. */
const play = 1

/** Whether what goes on a stud goes on it, and lies on it. */
function studs({ id, name, hole, stud }: PathElement): RigRemark[] {
  if (hole === undefined || stud === undefined) return []
  const said = `${name}: a hole of ${plain(hole)} mm on a stud of ${plain(stud)} mm`
  if (hole < stud)
    return [{ at: id, weight: 'remark', sentence: `${said} does not go on: use a larger lug.` }]
  return hole > stud + play
    ? [
        {
          at: id,
          weight: 'danger',
          sentence: `${said} has too little face and heats: use a lug made for it.`,
        },
      ]
    : []
}

function openPath(rig: Rig): RigRemark[] {
  if (rig.leads === 'not known') return []
  return (['positive', 'negative'] as const)
    .filter((side) => !rig[side].some(isCable))
    .map((side) => ({
      at: side,
      weight: 'remark',
      sentence: `The ${side} side has no cable: nothing leads from the post to the terminal yet.`,
    }))
}

function fuses(rig: Rig): RigRemark[] {
  if (!hasFuse(rig)) {
    return [
      {
        at: 'positive',
        weight: 'danger',
        sentence:
          'No fuse or breaker is in the path. A short gives thousands of amps: fit one close to the post, for this voltage and chemistry.',
      },
    ]
  }
  const remarks: RigRemark[] = []
  for (const { element } of protections(rig)) {
    for (const { element: cable } of placed(rig)) {
      if (!isCable(cable)) continue
      const carried = cable.conductors.map((conductor) =>
        ampacity(conductor, { insulation: cable.insulation, ambient: rig.ambient }),
      )
      const total = carried.reduce<number | undefined>(
        (sum, amps) => (sum === undefined || amps === undefined ? undefined : sum + amps),
        0,
      )
      if (total === undefined || element.continuous <= total) continue
      remarks.push({
        at: element.id,
        weight: 'danger',
        sentence: `${element.name} (${plain(element.continuous)} A) is bigger than ${cable.name} carries (${formatNumber(total, 0)} A): the cable would burn before it opens.`,
      })
    }
  }
  return remarks
}

function bankRemarks({ bank }: Rig): RigRemark[] {
  const remarks: RigRemark[] = []
  const nominals = bank.strings.map((string) => string.reduce((sum, { nominal }) => sum + nominal, 0))
  if (new Set(nominals).size > 1) {
    remarks.push({
      at: 'bank',
      weight: 'danger',
      sentence: `Strings of ${nominals.join(' V and ')} V stand in parallel: never join these.`,
    })
  }
  const spread = restSpread(bank)
  if (spread) {
    const flows =
      spread.circulating === undefined
        ? ''
        : ` With no load at all ${formatNumber(spread.circulating, 0)} A flow between them.`
    remarks.push({
      at: 'bank',
      weight: 'danger',
      sentence: `Rest volts differ by ${formatNumber(spread.spread * 1000, 0)} mV in parallel; ${formatNumber(spread.allowed * 1000, 0)} mV is the most for ${bankNominal(bank)} V.${flows} Bring them to the same voltage before joining.`,
    })
  }
  const chemistries = new Set(
    bank.strings.flat().flatMap(({ chemistry }) => (chemistry === 'not known' ? [] : [chemistry])),
  )
  if (chemistries.size > 1) {
    remarks.push({
      at: 'bank',
      weight: 'danger',
      sentence: `${[...chemistries].join(' and ')} stand in one bank: different chemistries are never joined.`,
    })
  }
  for (const battery of bank.strings.flat()) {
    if (battery.open)
      remarks.push({
        at: battery.id,
        weight: 'remark',
        sentence: `${battery.name} is dead or switched off: it carries nothing.`,
      })
  }
  const shares = sharing(bank, 100)
  if (shares && shares.length > 1 && Math.max(...shares) > 1.3 * Math.min(...shares)) {
    const most = shares.indexOf(Math.max(...shares))
    remarks.push({
      at: 'bank',
      weight: 'remark',
      sentence: `Of 100 A, ${bank.strings[most]?.[0]?.name ?? 'one'} gives ${formatNumber(shares[most] ?? 0, 0)} A and the least loaded ${formatNumber(Math.min(...shares), 0)} A. A diagonal take-off or busbars share better, where the batteries are alike.`,
    })
  }
  return remarks
}

/** A cross-section under 4 mm² in the main path is likely a thickness in mm. */
function thin(element: PathElement): RigRemark[] {
  if (!isCable(element)) return []
  return element.conductors
    .filter(({ gauge }) => gauge.unit === 'mm²' && gauge.area < 4)
    .map(({ gauge }) => ({
      at: element.id,
      weight: 'remark' as const,
      sentence: `${gauge.unit === 'mm²' ? gauge.area : ''} mm² is very thin for a battery lead. Was a thickness in mm meant? The area of a round conductor is π/4 × thickness².`,
    }))
}
