import { isFigure, showFigure, type Derived, type Figure } from '../figures'
import type { StepFigures } from './step'

/** Derived figures of a step as a table lists them: heading, unit, figure. */
const figuresOf: readonly (readonly [string, Figure['unit'], (step: StepFigures) => Derived])[] = [
  ['P_A', 'W', ({ P_A }) => P_A],
  ['P_B', 'W', ({ P_B }) => P_B],
  ['P_C', 'W', ({ P_C }) => P_C],
  ['S', 'VA', ({ S }) => S],
  ['drop', 'V', ({ drop }) => drop],
  ['path', 'W', ({ P_path }) => P_path],
  ['R_path', 'mΩ', ({ R_path }) => R_path],
  ['unit loss', 'W', ({ P_loss }) => P_loss],
  ['loss with leads', 'W', ({ P_systemLoss }) => P_systemLoss],
  ['eta unit', '%', ({ eta_unit }) => eta_unit],
  ['eta system', '%', ({ eta_system }) => eta_system],
  ['regulation against nominal', '%', ({ regulation }) => regulation],
  ['regulation against no load', '%', ({ regulationNoLoad }) => regulationNoLoad],
]

/** What cells of figures are made of: shown as on screen, with a minus that a spreadsheet reads. */
const cell = (text: string): number => Number(text.replace('−', '-'))

/**
 * Every derived figure of a step with its expanded uncertainty (k = 2) and, where it decides nothing, why. What is missing
 * has no cells.
 */
export function stepCells(step: StepFigures): Readonly<Record<string, string | number | undefined>> {
  return Object.fromEntries(
    figuresOf.flatMap(([head, unit, read]) => {
      const figure = read(step)
      if (!isFigure(figure)) return []
      const { value, uncertainty } = showFigure(figure)
      const doubt = figure.refused?.why ?? (figure.grade === 'measured' ? undefined : figure.grade)
      return [
        [`${head} [${unit}]`, cell(value)],
        [`U of ${head} [${unit}]`, uncertainty === undefined ? undefined : cell(uncertainty)],
        ...(doubt === undefined ? [] : [[`${head} decides nothing`, doubt] as const]),
      ]
    }),
  )
}

/** Headings of all derived figures, in their order. */
export const stepHeads: readonly string[] = figuresOf.flatMap(([head, unit]) => [
  `${head} [${unit}]`,
  `U of ${head} [${unit}]`,
  `${head} decides nothing`,
])
