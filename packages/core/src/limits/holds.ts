import type { EntryOf, Quantity, Value } from '@even-watt/contract'
import { deriveStep, type StepFigures } from '../ladder'
import { byHeat, isTapQuantity, ranFor, type Log } from '../logs'
import { remembering } from '../remember'
import type { Analysis } from '../trials'

const kinds: ReadonlySet<string> = new Set(['rated hold', 'tier hold', 'run-down', 'soak'])
/** What a step has of a log; counters and ports are not of it. */
const taken: ReadonlySet<Quantity> = new Set([
  'V_A',
  'V_B',
  'I',
  'I_bank',
  'P_B',
  'V_C',
  'I_C',
  'P_C',
  'PF',
  'f',
])

const same = remembering<EntryOf<'log'>, StepFigures | undefined>()

/** Ends of which the supply is the cause: a bank that was run empty on purpose is no failure at all. */
const supplyGone: ReadonlySet<string> = new Set(['low voltage', 'BMS', 'one battery first'])

/** How what ended a log stands in the words of a step. */
function endOf({ ended, entry }: Log): Partial<EntryOf<'ladder'>['reading']> {
  const why = ended?.why
  if (why === 'heat' || why === 'overload') return { end: 'tripped', alarm: why }
  if (why === 'by hand') return { end: 'stopped by hand' }
  if (entry.reading.what === 'run-down') return { end: 'carried' }
  if (why !== undefined && supplyGone.has(why)) return { end: 'tripped', alarm: 'low voltage' }
  return why === 'not known' ? { end: 'tripped', alarm: 'other' } : { end: 'carried' }
}

/** Logs that held a load, each as a step of the ladder with its means and the time that it ran until it first stopped. */
export const holdsOf = ({ logs, ladder }: Pick<Analysis, 'logs' | 'ladder'>): StepFigures[] =>
  logs.flatMap((log) => {
    if (!kinds.has(log.entry.reading.what)) return []
    const step = same(log.entry, [log, ladder.context], () => {
      const values = log.series.flatMap(({ quantity, points, meters, grade, product }): Value[] => {
        if (!isTapQuantity(quantity) || !taken.has(quantity) || product) return []
        const running = points.filter(({ at }) => at < (log.segments[0]?.to ?? Infinity) || at === 0)
        if (!running.length) return []
        const value = running.reduce((sum, point) => sum + point.value, 0) / running.length
        return [{ quantity, value, grade, ...(meters[0] ? { meter: meters[0] } : {}) }]
      })
      if (!values.some(({ quantity }) => quantity === 'P_C' || quantity === 'I_C')) return undefined
      const { id, at, revision } = log.entry
      const stopped = log.segments.length > 1
      const held = stopped ? (log.segments[0]?.to ?? 0) : ranFor(log)
      const heat = log.events.some((event) => event.what === 'stopped' && byHeat(event))
      const reading: EntryOf<'ladder'>['reading'] = {
        step: id,
        position: 0,
        load: log.entry.reading.load ?? log.entry.reading.what,
        kind: 'mixed',
        values,
        ...(stopped ? { end: 'tripped', alarm: heat ? 'heat' : 'other' } : endOf(log)),
        ...(held > 0 ? { held } : {}),
      }
      const entry: EntryOf<'ladder'> = { id, at, revision, kind: 'ladder', reading }
      return deriveStep({ id, position: 0, readings: [entry], struck: [], captures: [] }, ladder.context)
    })
    return step ? [step] : []
  })
