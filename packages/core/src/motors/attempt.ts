import type { EntryOf, Quantity, StartOutcome, Value } from '@even-watt/contract'
import { readFigures, legVolts, nominalNear } from '../evidence'
import { derive, isFigure, type Derived } from '../figures'
import { add, combine, divide, ownSource, uncertain } from '../meters'
import { readingsOf, scopeOf, type Analysis } from '../trials'
import { late, startIn, type SeenStart } from './start'
import { wrongFactor } from './wrongFactor'
import { capturedValue, onMeter, seenValues, typedValues, unlessSlow } from './values'

/** One attempt at starting a machine, with what was read or captured of it (docs/method/motors.md). */
export interface AttemptFigures {
  readonly entry: EntryOf<'motors'>
  /** The capture that belongs to it, and the start in it. */
  readonly capture: EntryOf<'capture'> | undefined
  readonly seen: SeenStart | undefined
  /** The same machine’s start on another source: what it wants where nothing holds it back. */
  readonly reference: SeenStart | undefined
  /** Why its capture shows no start. */
  readonly fault: string | undefined
  /** Output volts on the label, of a leg where one was read. */
  readonly nominal: number
  /** As the capture shows it, else as it was noted. */
  readonly outcome: StartOutcome
  /** s until it ran or was over. */
  readonly lasted: number | undefined
  readonly current: Derived
  readonly running: Derived
  readonly multiple: Derived
  readonly watts: Derived
  readonly VA: Derived
  /** W with what else was on taken out at V². */
  readonly motorWatts: Derived
  readonly lowest: Derived
  readonly lowestInput: Derived
  /** Input volts before, and A at the worst moment. */
  readonly inputBefore: number | undefined
  readonly inputCurrent: number | undefined
}

/** The attempts of one revision, in the order of their numbers. */
export const attemptsIn = (analysis: Analysis): AttemptFigures[] =>
  readingsOf(analysis.record, 'motors')
    .map((entry) => figuresOf(entry, analysis))
    .sort((a, b) => a.entry.reading.number - b.entry.reading.number)

function figuresOf(entry: EntryOf<'motors'>, analysis: Analysis): AttemptFigures {
  const { record, ladder } = analysis
  const { reading } = entry
  const reference = referenceOf(entry, analysis)
  const { capture, nominal, found } = captureOf(entry, analysis, reference?.toRun)
  const seen = found && !('fault' in found) ? found : undefined
  const lasted = seen ? (seen.toRun ?? seen.goneAfter) : reading.lasted
  const where = `${entry.id}|${scopeOf(record)}`
  const read = (id: string, values: readonly Value[]) =>
    readFigures([{ entry: id, values }], ladder.context, ladder.context.spreads, where)
  const onTyped = unlessSlow(lasted, reading.caught === 'inrush clamp', record.revision)
  const bySight = seen && capture ? read(capture.id, seenValues(seen, capture)) : undefined
  const typed = read(entry.id, typedValues(entry, record.revision))
  const worst = (quantity: Quantity) => bySight?.[quantity] ?? onTyped(typed[quantity], quantity)
  const running = ((): Derived => {
    if (seen && capture)
      return seen.running === undefined
        ? { missing: 'The capture shows no running.' }
        : read(capture.id, [capturedValue('I_C', seen.running, capture)]).I_C
    return reading.runningCurrent === undefined
      ? { missing: 'Running current was not read.' }
      : read(entry.id, [onMeter('I_C', reading.runningCurrent, record.revision)]).I_C
  })()
  const current = worst('I_C')
  const watts = worst('P_C')
  return {
    entry,
    capture,
    seen,
    reference,
    fault: found && 'fault' in found ? found.fault : undefined,
    nominal,
    outcome: seen?.outcome ?? reading.outcome,
    lasted,
    current,
    running,
    multiple:
      isFigure(current) && isFigure(running)
        ? derive(
            'inrush',
            '×',
            'I_worst / I_running',
            [current, running],
            add(divide(current.x, running.x), linearity(current.x.value / running.x.value, where)),
          )
        : { missing: 'Worst and running current were not both read.' },
    watts,
    VA: apparent(worst('V_C'), current, seen),
    motorWatts: ownWatts(watts, seen, reading.baseLoad),
    lowest: worst('V_C'),
    lowestInput: worst('V_B'),
    inputBefore: seen?.inputBefore ?? reading.bankBefore,
    inputCurrent: seen?.highestInput,
  }
}

/** A start on the grid or an engine generator, captured as a reference for any attempt at this machine. */
function referenceOf({ reading }: EntryOf<'motors'>, { record }: Analysis): SeenStart | undefined {
  const same = new Set(
    readingsOf(record, 'motors')
      .filter((other) => other.reading.load === reading.load)
      .map(({ id }) => id as string | undefined),
  )
  for (const { reading: capture } of readingsOf(record, 'capture')) {
    const { course } = capture.figures
    if (!capture.reference || !course?.V_C || !same.has(capture.about)) continue
    const found = startIn(course, course.V_C[0] ?? 0)
    if (!('fault' in found)) return found
  }
  return undefined
}

/** Share by which an instrument may differ between its small and its large readings, its common factor aside. */
const linear = 0.005

const linearity = (multiple: number, where: string) =>
  uncertain(0, ownSource('linearity', where), linear * multiple)

/** The capture that belongs to an attempt and shows its start; else one that shows none, with why. */
function captureOf(entry: EntryOf<'motors'>, analysis: Analysis, onStiff?: number) {
  const { unit } = analysis.record.revision
  const near = (volts: number | undefined) => nominalNear(unit, volts ?? legVolts(unit))
  // On a stiff source it shows how long it takes: half as long again is late.
  const usual = onStiff === undefined ? late : 1.5 * onStiff
  const looked = readingsOf(analysis.record, 'capture').flatMap((capture) => {
    const { about, picture, figures, reference } = capture.reading
    if (about !== entry.id || picture || reference || !figures.course) return []
    const nominal = near(figures.course.V_C?.[0])
    const found =
      wrongFactor(figures.course, nominal) ?? startIn(figures.course, nominal, entry.reading.baseLoad, usual)
    return [{ capture, nominal, found }]
  })
  return (
    looked.find(({ found }) => !('fault' in found)) ??
    looked[0] ?? {
      capture: undefined,
      nominal: near(entry.reading.lowestOutput),
      found: undefined,
    }
  )
}

function apparent(volts: Derived, amps: Derived, seen: SeenStart | undefined): Derived {
  if (seen?.VA === undefined || !isFigure(volts) || !isFigure(amps))
    return { missing: 'Volts and amperes were not captured together.' }
  return derive(
    'S_worst',
    'VA',
    'V·I over the worst cycle',
    [volts, amps],
    combine(seen.VA, [
      [volts.x, seen.VA / volts.x.value],
      [amps.x, seen.VA / amps.x.value],
    ]),
  )
}

function ownWatts(P: Derived, seen: SeenStart | undefined, baseLoad: number | undefined): Derived {
  if (!isFigure(P)) return P
  if (!seen)
    return baseLoad ? { missing: 'What else was on fell with the volts; only a capture takes it out.' } : P
  if (seen.motorWatts === undefined || !(seen.base > 0)) return P
  return derive('P_motor', 'W', 'P_C − P_base·(V/V_before)²', [P], combine(seen.motorWatts, [[P.x, 1]]), [
    `What was on before took ${Math.round(seen.base)} W, and less at the sagged volts.`,
  ])
}
