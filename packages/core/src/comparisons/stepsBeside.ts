import { derive, isFigure, whenKnown, type Derived } from '../figures'
import { readingsOf } from '../trials'
import { combine } from '../meters'
import { loadApart } from './criteria'
import type { Compared } from './compared'

/** What one gave at a load: its watts, its volts and hertz off nominal, as shares. */
interface StepCell {
  readonly watts: Derived
  readonly volts: Derived
  readonly hertz: Derived
}

/** A load that two or more of those compared were given; the first row may be nothing connected. */
export interface StepBesideRow {
  /** W of the first that had it; 0: nothing was connected. */
  readonly watts: number
  readonly cells: readonly (StepCell | undefined)[]
}

const offNominal = (symbol: string, read: Derived, nominal: number): Derived =>
  whenKnown([read], ([one]) =>
    derive(
      `${symbol} off nominal`,
      '%',
      `${symbol} / nominal − 1`,
      [one],
      combine(one.x.value / nominal - 1, [[one.x, 1 / nominal]]),
    ),
  )

const cellOf = (
  { analysis }: Compared,
  watts: Derived,
  read: { readonly V_C: Derived; readonly f: Derived },
): StepCell => {
  const { outputVoltage, outputFrequency } = analysis.record.revision.unit
  return {
    watts,
    volts: offNominal('V_C', read.V_C, outputVoltage),
    hertz: offNominal('f', read.f, outputFrequency),
  }
}

const nothing: Derived = { missing: 'Nothing was connected.' }

const stepsOf = (one: Compared): readonly (readonly [watts: number, cell: StepCell])[] =>
  one.analysis.ladder.steps
    .flatMap((step) =>
      step.carried && isFigure(step.P_C)
        ? [[step.P_C.x.value, cellOf(one, step.P_C, step.read)] as const]
        : [],
    )
    .sort(([a], [b]) => a - b)

const isNear = (a: number, b: number) => Math.abs(a / b - 1) <= loadApart

/**
 * Steps of several at like loads, within a tenth, volts and hertz of each off its own nominal (docs/method/comparisons.md): for
 * anything that feeds loads, whatever feeds it. Loads that only one was given are left out.
 */
export function stepsBeside(list: readonly Compared[]): StepBesideRow[] {
  const all = list.map(stepsOf)
  const loads = all.flat().map(([watts]) => watts)
  const apart = [...loads]
    .sort((a, b) => a - b)
    .filter((one, i, sorted) => {
      const before = sorted[i - 1]
      return before === undefined || !isNear(one, before)
    })
  const idle = list.map((one) =>
    readingsOf(one.analysis.record, 'no load').length
      ? cellOf(one, nothing, one.analysis.noLoad.on.read)
      : undefined,
  )
  const rows = apart.map((watts) => ({
    watts,
    cells: all.map(
      (steps) =>
        [...steps]
          .filter(([own]) => isNear(own, watts))
          .sort(([a], [b]) => Math.abs(a - watts) - Math.abs(b - watts))[0]?.[1],
    ),
  }))
  return [{ watts: 0, cells: idle }, ...rows].filter(({ cells }) => cells.filter(Boolean).length > 1)
}
