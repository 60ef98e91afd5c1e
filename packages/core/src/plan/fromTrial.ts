import type { LadderPlanned, LoadUse, StoredLoad, Taken } from '@even-watt/contract'
import { quantityData } from '../evidence'
import { formatNumber, isFigure } from '../figures'
import { supplyOf, weakestCurrent, type SupplyQuestion } from '../rigs'
import { atCurrent, bankNominal, outputFor, regress } from '../supply'
import type { Analysis } from '../trials'
import type { PlanLoad, Question, Settings } from './question'
import type { OutputVoltage } from './voltage'

/** How the unit's output falls with load: from its own steps, else its no-load volts, else its label. */
export function expectedVoltage(analysis: Analysis): OutputVoltage {
  const { ladder, noLoad, record } = analysis
  const points = ladder.steps.flatMap(({ P_C, read }) =>
    isFigure(P_C) && isFigure(read.V_C) ? [[P_C.x.value, read.V_C.x.value] as const] : [],
  )
  if (isFigure(noLoad.on.read.V_C)) points.unshift([0, noLoad.on.read.V_C.x.value])
  const fit = regress(
    points.map(([P]) => [1, -P]),
    points.map(([, V]) => V),
    points.map(() => 1),
  )
  const [volts, fall] = fit?.coefficients ?? []
  if (volts !== undefined && fall !== undefined) return { noLoad: volts, fall: Math.max(0, fall) }
  return { noLoad: points[0]?.[1] ?? record.revision.unit.outputVoltage, fall: 0 }
}

export interface Cap {
  /** W; Infinity: nothing is known that caps it. */
  readonly power: number
  readonly because: string
}

/** What limits the watts of any step: the weakest link of the rig, and the ranges of the meters at the outlet. */
export function powerCap(analysis: Analysis, question: SupplyQuestion): Cap {
  const { rig, meters, unit } = analysis.record.revision
  const caps: Cap[] = [{ power: Infinity, because: '' }]
  const weakest = weakestCurrent(rig)
  const supply = supplyOf(analysis.supply.known)
  if (weakest) {
    // While a resistance is not known the bank is taken as stiff at its nominal volts.
    const input = (supply ? atCurrent(supply, weakest.current).V_B : bankNominal(rig.bank)) * weakest.current
    caps.push({
      power: outputFor(input, question.loss),
      because: `${weakest.link.name}, ${formatNumber(weakest.current, 0)} A`,
    })
  }
  for (const { quantity, meter: id } of rig.assignments) {
    if (quantity !== 'P_C' && quantity !== 'I_C') continue
    const meter = meters.find((candidate) => candidate.id === id)
    const range = Math.max(
      0,
      ...(meter?.ranges ?? [])
        .filter(({ reads }) => reads === quantityData[quantity].reads)
        .map(({ upTo }) => upTo),
    )
    if (meter && range > 0) {
      caps.push({
        power: quantity === 'P_C' ? range : range * unit.outputVoltage,
        because: `the range of ${meter.name}`,
      })
    }
  }
  return caps.reduce((least, cap) => (cap.power < least.power ? cap : least))
}

/** A setting of the shelf in the order in which the question counts them. */
export interface Shelf {
  readonly loads: readonly StoredLoad[]
  readonly question: readonly PlanLoad[]
}

/** Label volts further than this share from the outlet's: the load is made for another voltage. */
const otherVoltage = 0.2

/** Whether a load is made for the voltage of an outlet; one that is not may burn, or hardly warm. */
export const suitsOutlet = ({ volts }: Pick<StoredLoad, 'volts'>, outlet: number): boolean =>
  Math.abs(volts / outlet - 1) <= otherVoltage

/**
 * The loads that may take part: made for the outlet's voltage and not excluded, their settings that their own cord
 * carries, at what they really took where that is known.
 */
export function shelfFor(
  all: readonly StoredLoad[],
  taken: readonly Taken[],
  excluded: readonly string[],
  outlet: number,
): Shelf {
  const loads = all
    .filter((load) => suitsOutlet(load, outlet) && !excluded.includes(load.id))
    .map((load) => ({
      ...load,
      settings: load.settings.filter(
        ({ watts }) => load.cord === undefined || watts / load.volts / (load.powerFactor ?? 1) <= load.cord,
      ),
    }))
    .filter(({ settings }) => settings.length > 0)
  return {
    loads,
    question: loads.map(({ id, kind, volts, settings }) => ({
      id,
      kind,
      volts,
      settings: settings.map(
        ({ id: setting, watts }) => taken.find((one) => one.setting === setting)?.watts ?? watts,
      ),
    })),
  }
}

export const usesOf = ({ loads }: Shelf, set: Settings): LoadUse[] =>
  set.flatMap((k, i) => {
    const load = loads[i]
    const setting = load?.settings[k - 1]
    return load && setting ? [{ load: load.id, setting: setting.id }] : []
  })

/** The set of a planned step; settings that are no longer there are left out. */
export const setOf = ({ loads }: Shelf, uses: readonly LoadUse[]): Settings =>
  loads.map(({ id, settings }) => {
    const use = uses.find((one) => one.load === id)
    return use ? settings.findIndex((setting) => setting.id === use.setting) + 1 : 0
  })

/** "sand oven high + lamp board 2". */
export const sayUses = (loads: readonly StoredLoad[], uses: readonly LoadUse[]): string =>
  uses
    .map((use) => {
      const load = loads.find(({ id }) => id === use.load)
      const setting = load?.settings.find(({ id }) => id === use.setting)
      return load ? `${load.name}${setting?.name ? ` ${setting.name}` : ''}` : 'a load no longer on the shelf'
    })
    .join(' + ')

/** All that choosing needs, in plain data that a worker can be sent. */
export function questionFor(
  analysis: Analysis,
  shelf: Shelf,
  plan: Pick<LadderPlanned, 'outlets' | 'steps'>,
  mostPower: number,
): Question {
  return {
    loads: shelf.question,
    targets: plan.steps.map(({ target }) => target),
    voltage: expectedVoltage(analysis),
    outlets: plan.outlets,
    mostPower,
    locked: plan.steps.map(({ locked, uses }) => (locked ? setOf(shelf, uses) : undefined)),
  }
}
