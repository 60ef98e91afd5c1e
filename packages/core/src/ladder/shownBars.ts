import type { EntryOf } from '@even-watt/contract'
import { barsOf, type Bars, type Lit } from '../evidence'
import { decides, isFigure } from '../figures'
import { readingsOf, type Analysis } from '../trials'

/** What the lamps or bars of a display are worth. */
export interface ShownBars {
  readonly load: Bars | undefined
  /** In Wh drawn, turned: a bar goes out as energy is drawn. */
  readonly charge: Bars | undefined
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
