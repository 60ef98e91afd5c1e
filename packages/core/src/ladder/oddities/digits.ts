import type { Quantity } from '@even-watt/contract'
import { quantityData } from '../../evidence'
import { capital, isFigure, plain, say } from '../../figures'
import type { Notice, Oddity } from '../../oddities'
import { oncePer } from '../../oncePer'
import type { StepFigures } from '../step'

const value = (step: StepFigures, quantity: Quantity): number | undefined => {
  const figure = step.read[quantity]
  return isFigure(figure) ? figure.x.value : undefined
}

/** The quantity that moves with another; voltages stand by themselves. */
const partner: Partial<Record<Quantity, Quantity>> = { I: 'P_C', P_C: 'I', I_C: 'P_C' }

/** Share of the largest step below which a step is too small to tell a slip by its neighbours. */
const tiny = 0.1

/**
 * What the other steps lead one to expect of a quantity at each step: their median for voltages, and for I, I_C
 * and P_C the median quotient with the quantity that moves with it. Nothing is expected from fewer than three
 * others.
 */
function expectedOf(steps: readonly StepFigures[], quantity: Quantity): Map<StepFigures, number> {
  const mate = partner[quantity]
  const least = tiny * mostWatts(steps)
  // Amps follow watts only at one power factor, and on tiny steps what the unit takes for itself is most of them.
  const follows = (step: StepFigures) =>
    (value(step, 'P_C') ?? 0) >= least &&
    (step.kind === 'element' || step.kind === 'filament' || (value(step, 'PF') ?? 0) > 0.95)
  const scaleOf = (step: StepFigures) => (mate ? (follows(step) ? value(step, mate) : undefined) : 1)
  const scales = new Map<StepFigures, number>()
  const ratios: number[] = []
  for (const step of steps) {
    const read = value(step, quantity)
    const scale = scaleOf(step)
    if (read === undefined || !scale) continue
    scales.set(step, scale)
    ratios.push(read / scale)
  }
  const expected = new Map<StepFigures, number>()
  const others = ratios.length - 1
  if (others < 3) return expected
  const sorted = Float64Array.from(ratios).sort()
  // The median of the others: one place further when the step itself stands before it.
  const middle = Math.floor(others / 2)
  const [median = 0, next = 0] = sorted.subarray(middle, middle + 2)
  let i = 0
  for (const [step, scale] of scales)
    expected.set(step, ((ratios[i++] ?? 0) <= median ? next : median) * scale)
  return expected
}

const mostWatts = oncePer((steps: readonly StepFigures[]) =>
  steps.reduce((most, step) => Math.max(most, value(step, 'P_C') ?? 0), 0),
)

/** Two neighbouring digits exchanged. */
function swaps(x: number): number[] {
  const digits = String(x)
  return [...digits].flatMap((digit, i) => {
    const next = digits[i + 1] === '.' ? i + 2 : i + 1
    const other = digits[next]
    if (!/\d/.test(digit) || other === undefined || digit === other) return []
    const swapped = [...digits]
    swapped[i] = other
    swapped[next] = digit
    return [Number(swapped.join(''))]
  })
}

/**
 * How a reading may have slipped, given what is expected: a decimal place (within 30 % after shifting) or two
 * digits exchanged (over 15 % off as typed, within 3 % exchanged). Undefined where neither explains it.
 */
export function slipOf(read: number, expected: number): number | undefined {
  if (!(expected > 0) || !(read > 0)) return undefined
  const off = (x: number) => Math.abs(x / expected - 1)
  if (off(read) < 0.15) return undefined
  const shifted = [read * 10, read / 10, read * 100, read / 100].find((x) => off(x) < 0.3)
  return shifted ?? swaps(read).find((x) => off(x) < 0.03)
}

/** 18: a digit slip against the trend. */
export const noticeDigitSlip: Notice = (context) => [...slipsByTrend(context), ...slipsByPlan(context)]

const slip = (
  revision: number,
  step: StepFigures,
  quantity: Quantity,
  read: number,
  expected: number,
  leads: string,
): Oddity[] => {
  const meant = slipOf(read, expected)
  if (meant === undefined) return []
  return [
    {
      number: 18,
      odd: `${capital(quantityData[quantity].words)}: ${plain(read)} ${quantityData[quantity].unit} was read; ${leads} to about ${say(expected, quantityData[quantity].unit)}. Was it ${plain(meant)}?`,
      why: 'A slipped digit bends the whole curve.',
      todo: 'Look at the meter again; correct it, or keep it with a reason.',
      at: { revision, step: step.step.id, quantity },
    },
  ]
}

/** Where too few other steps make a trend, the plan tells what the outlet should give. */
const slipsByPlan: Notice = ({ analysis }) => {
  const planned = analysis.ladder.steps.flatMap((step) => {
    const expected = step.step.readings.at(-1)?.reading.expected
    const read = value(step, 'P_C')
    return expected === undefined || read === undefined ? [] : [{ step, read, expected }]
  })
  if (!planned.length) return []
  const byTrend = expectedOf(analysis.ladder.steps, 'P_C')
  return planned
    .filter(({ step }) => !byTrend.has(step))
    .flatMap(({ step, read, expected }) =>
      slip(analysis.record.revision.number, step, 'P_C', read, expected, 'the plan leads'),
    )
}

const slipsByTrend: Notice = ({ analysis }) =>
  (['V_A', 'V_B', 'I', 'V_C', 'I_C', 'P_C'] as const).flatMap((quantity) =>
    [...expectedOf(analysis.ladder.steps, quantity)].flatMap(([step, expected]) => {
      const read = value(step, quantity)
      if (read === undefined) return []
      return slip(analysis.record.revision.number, step, quantity, read, expected, 'the other steps lead')
    }),
  )
