import type { EntryOf } from '@even-watt/contract'
import { barsOf, shouldLight, type Bars, type Lit, type ShouldLight } from '../evidence'
import { decides, isFigure, type Figure } from '../figures'
import { readingsOf, type Analysis } from '../trials'
import { ratedPower } from '../units'

/** What the lamps or bars of a display are worth. */
export interface ShownBars {
  readonly load: Bars | undefined
  /** In Wh drawn, turned: a bar goes out as energy is drawn. */
  readonly charge: Bars | undefined
}

/** Bars of load that were lit at a step, and that should be by its share of the rating. */
export interface LitAtStep {
  readonly load: string
  readonly P_C: Figure
  readonly share: number
  readonly lit: number
  readonly inAll: number
  readonly should: ShouldLight
  /** By no more than one bar nobody can tell: displays differ in where a bar begins. */
  readonly off: boolean
}

/** At every step whose bars and watts were read, which bar should light; of a unit that states its rating, and a display of which it is known how many bars it has. */
export function litAtSteps({ record, ladder }: Analysis): LitAtStep[] {
  const rated = ratedPower(record.revision.unit)
  const shown = [...readingsOf(record, 'ladder'), ...readingsOf(record, 'no load')].map(
    ({ reading }) => reading.display,
  )
  const inAll = Math.max(0, ...shown.map((display) => display?.loadBarsOf ?? 0))
  if (!rated || !inAll) return []
  return ladder.steps.flatMap(({ step, load, P_C }) => {
    if (!decides(P_C)) return []
    const share = P_C.x.value / rated
    const should = shouldLight(share, inAll)
    return step.readings.flatMap(({ reading: { display } }) =>
      display?.loadBars === undefined
        ? []
        : [
            {
              load,
              P_C,
              share,
              lit: display.loadBars,
              inAll,
              should,
              off: Math.abs(display.loadBars - should.bars) > 1,
            },
          ],
    )
  })
}

const secondsAnHour = 3600

/** Bars of load against the watts at the outlet, bars of charge against the energy drawn so far (docs/method/evidence.md). */
export function shownBars({ record, ladder }: Analysis): ShownBars {
  const load: Lit[] = readingsOf(record, 'no load').flatMap(({ reading: { mode, display } }) =>
    mode === 'on' && display?.loadBars !== undefined ? [{ bars: display.loadBars, x: 0 }] : [],
  )
  for (const { step, P_C } of ladder.steps) {
    if (!decides(P_C)) continue
    for (const { reading } of step.readings)
      if (reading.display?.loadBars !== undefined)
        load.push({ bars: reading.display.loadBars, x: P_C.x.value })
  }
  return { load: barsOf(load), charge: barsOf(chargeLit(record, ladder)) }
}

/** Energy is known as long as every reading so far tells how much it took. */
function chargeLit(record: Analysis['record'], ladder: Analysis['ladder']): Lit[] {
  const steps = new Map(ladder.steps.map((one) => [one.step.id, one]))
  const lit: Lit[] = []
  let drawn = 0
  for (const { reading } of readingsOf(record, 'ladder')) {
    const energy = energyOf(reading, steps.get(reading.step))
    if (energy === undefined) break
    drawn += energy
    if (reading.display?.chargeBars !== undefined) lit.push({ bars: reading.display.chargeBars, x: -drawn })
  }
  return lit
}

function energyOf(
  { values, held }: EntryOf<'ladder'>['reading'],
  step: Analysis['ladder']['steps'][number] | undefined,
): number | undefined {
  const counted = values.find(({ quantity }) => quantity === 'E_B')?.value
  if (counted !== undefined) return counted
  return step && isFigure(step.P_B) && held ? (step.P_B.x.value * held) / secondsAnHour : undefined
}
