import { hindrance, type Asked, type Hindrance } from '../../court'
import { seriesFor, type Log } from '../../logs'
import { formatNumber, say } from '../../figures'
import { isStation } from '../../units'
import type { RunDown } from '../runDown'

/** Watts within which a run-down is one at the load that is asked for. */
export const atLoad = 0.05
/** Share of charge from which a store counts as full, whatever was noted. */
const fullFrom = 0.95

/** Whether a store is known to have been full before; 'not noted': nobody said so. */
function wasFull({ log }: Pick<RunDown, 'log'>): 'full' | 'not full' | 'not noted' {
  const { full, charge } = log.entry.reading
  const shown = charge ?? seriesFor(log, 'charge')?.points[0]?.value
  if (full === 'not full' || (shown !== undefined && shown < fullFrom)) return 'not full'
  if (full === undefined || full === 'not known') return (charge ?? 0) >= 0.99 ? 'full' : 'not noted'
  return 'full'
}

/** What stood in the way of a run-down: a store that was not full, a charger that helped, a bank that is not the unit's. */
export const runDownHindrances = (one: RunDown, asked: Asked): Hindrance[] => [
  ...notFull(one),
  ...charging(one.log, asked),
  ...bankEnded(one, asked),
]

function notFull(one: RunDown): Hindrance[] {
  const full = wasFull(one)
  if (full === 'full') return []
  const shown = one.log.entry.reading.charge
  return full === 'not full'
    ? [
        hindrance('not full', () => ({
          why: `It was not full before${shown === undefined ? '' : `: its gauge showed ${say(100 * shown, '%', 2)}`}.`,
          would: 'Fill it first.',
        })),
      ]
    : [
        hindrance('fullness not noted', () => ({
          why: 'Whether it was full before is not noted.',
          would: 'Note at its beginning what full meant, or fill it and run it down again.',
        })),
      ]
}

/** Watts into the store, or a source of support on the bank, while it was run down. */
function charging(log: Log, { analysis }: Asked): Hindrance[] {
  const into = (['P_in', 'P_wall'] as const).some((quantity) =>
    (seriesFor(log, quantity)?.points ?? []).some(({ value }) => value > 1),
  )
  const support = analysis.record.revision.rig.support
  if (!into && !support) return []
  return [
    hindrance('charger on', () => ({
      why: `${into ? 'A charger' : `The ${support?.name ?? 'charger'}`} was on meanwhile, and gave some of it.`,
      would: 'Run it down with nothing charging it.',
    })),
  ]
}

/** A bank that ended is not the unit's: only a station has its store inside. */
function bankEnded({ complete, log }: RunDown, { analysis: { record } }: Asked): Hindrance[] {
  if (isStation(record.revision.unit) || !complete) return []
  return [
    hindrance('ended by a battery', () => ({
      why: `${log.ended?.why === 'BMS' ? 'The bank’s BMS' : 'The bank'} ended it, which is not part of the unit.`,
      would: 'A bank whose Ah are known, at this load, would show it.',
    })),
  ]
}

export const sayLoad = (watts: number | undefined): string =>
  watts === undefined ? '–' : formatNumber(watts, 0)
