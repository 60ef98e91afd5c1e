import type { MeterRange, StoredMeter, Trial } from '@even-watt/contract'
import type { ClaimFindings } from '../judge'
import { readSource, specificationSource, type Uncertain } from '../meters'
import type { Analysis } from '../trials'

/** One rig revision of one trial, to be laid beside others. */
export interface Compared {
  readonly trial: Pick<Trial, 'id' | 'title' | 'hold' | 'duty' | 'overruled'>
  readonly analysis: Analysis
  readonly findings: readonly ClaimFindings[]
  /** What it is called here: the unit, and what tells it from the others. */
  readonly name: string
}

/** What is to be compared, each with a name of its own: the unit’s; where two have it, the rig’s number; then the trial’s; then their place here. */
export function named(list: readonly Omit<Compared, 'name'>[]): Compared[] {
  const unit = ({ analysis }: Omit<Compared, 'name'>) => analysis.record.revision.unit.name
  const rig = (one: Omit<Compared, 'name'>) => `${unit(one)}, rig ${one.analysis.record.revision.number}`
  const whole = (one: Omit<Compared, 'name'>) => `${rig(one)} of ${one.trial.title}`
  const clashes = (one: Omit<Compared, 'name'>, say: typeof unit) =>
    list.filter((other) => say(other) === say(one)).length > 1
  return list.map((one, i) => ({
    ...one,
    name: !clashes(one, unit)
      ? unit(one)
      : !clashes(one, rig)
        ? rig(one)
        : !clashes(one, whole)
          ? whole(one)
          : `${whole(one)}, ${i + 1}`,
  }))
}

/** What a range of a meter was when it was read: its specification, and when it was last adjusted. */
const stateOf = ({ adjusted }: StoredMeter, { percent, counts, count }: MeterRange): string =>
  [adjusted ?? '', percent, counts, count].join(' ')

/**
 * The names under which errors of meters are common to all that is compared. A meter that was adjusted, or whose
 * specification was changed, between two trials has another error in each: its name is changed from the second state
 * on, so that nothing of it cancels (docs/method/comparisons.md).
 */
export function commonErrors(list: readonly Compared[]): (of: Compared, x: Uncertain) => Uncertain {
  const states = new Map<string, string[]>()
  const renamed = new Map<Compared, Map<string, string>>()
  for (const one of list) {
    const names = new Map<string, string>()
    for (const meter of one.analysis.record.revision.meters)
      for (const range of meter.ranges) {
        const source = specificationSource(meter.id, range.id)
        const known = states.get(source) ?? []
        const state = stateOf(meter, range)
        if (!known.includes(state)) known.push(state)
        states.set(source, known)
        const at = known.indexOf(state)
        if (at > 0) names.set(source, `${source}~${at}`)
      }
    renamed.set(one, names)
  }
  return (of, x) => {
    const names = renamed.get(of)
    return names?.size
      ? { ...x, sources: new Map([...x.sources].map(([source, u]) => [names.get(source) ?? source, u])) }
      : x
  }
}

/** Whether the errors of a range are the same in two of them: the same meter, range and state. */
export function sharesMeter(first: Compared, second: Compared, source: string): boolean {
  const found = readSource(source)
  if (found.kind !== 'spec') return false
  const [a, b] = [first, second].map(({ analysis }) => {
    const meter = analysis.record.revision.meters.find(({ id }) => id === found.meter)
    const range = meter?.ranges.find(({ id }) => id === found.range)
    return meter && range && stateOf(meter, range)
  })
  return a !== undefined && a === b
}
