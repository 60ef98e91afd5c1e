import type { Entry, Trial } from '@even-watt/contract'
import { instrumentOf, placed, type SourceName } from '@even-watt/core'
import { type Stage } from '../stage'
import { shortTime } from '../ui/dates'
import type { NameSource } from '../ui/working'

/** Names sources of error and readings by what the trial knows of its meters and steps. */
export function namesOf(
  trial: Trial,
  entries: readonly Entry[],
  stages: readonly Stage[],
): { nameSource: NameSource; nameEntry: (id: string) => string | undefined } {
  const meters = new Map(
    [
      ...trial.revisions.flatMap((revision) => revision.meters),
      ...entries.flatMap((entry) => (entry.kind === 'capture' ? (instrumentOf([entry]) ?? []) : [])),
    ].map((meter) => [meter.id, meter] as const),
  )
  const loads = new Map(
    entries.flatMap((entry) =>
      entry.kind === 'ladder' ? [[entry.reading.step, entry.reading.load] as const] : [],
    ),
  )
  const readings = new Map(entries.map((entry) => [entry.id, entry]))
  const parts = new Map(
    trial.revisions.flatMap(({ rig }) =>
      [...placed(rig).map(({ element }) => element), ...rig.bank.strings.flat()].map(
        ({ id, name }) => [id, name] as const,
      ),
    ),
  )
  /** A step, or a reading and the part of the rig it was taken across. */
  const placeOf = (where: string) => {
    const [place = '', , revision] = where.split('|')
    const words = place
      .split(' ')
      .map((word) => loads.get(word) ?? parts.get(word) ?? nameEntry(word) ?? word)
    return `${words.join(', ')}${revision === undefined ? '' : `, rig ${revision}`}`
  }
  const nameSource = (source: SourceName): string => {
    if (source.kind === 'spec') {
      const meter = meters.get(source.meter)
      const range = meter?.ranges.find((candidate) => candidate.id === source.range)
      // An instrument that captured has no end of range of its own.
      const words = range && (range.id === range.reads ? range.reads : `${range.reads} to ${range.upTo}`)
      return `${meter?.name ?? 'meter'}, ${words ?? 'its amplitudes'}: specification (common)`
    }
    if (source.kind === 'method') return methodWords[source.what] ?? source.what
    if (source.what.startsWith('fit ')) return 'independent scatter of the fitted steps'
    return `${source.what} at ${placeOf(source.where)}: reading (independent)`
  }
  const nameEntry = (id: string) => {
    const entry = readings.get(id)
    if (!entry) return undefined
    const what = namesIn(stages, entry) ?? entry.kind
    const by = entry.by === undefined || entry.by === trial.by ? '' : `, read by ${entry.by}`
    return `Rig ${entry.revision}, ${what}, ${shortTime(entry.at)}${by}`
  }
  return { nameSource, nameEntry }
}

/** What a stage calls an entry of its own. */
export function namesIn(stages: readonly Stage[], entry: Entry): string | undefined {
  if (!('reading' in entry)) return undefined
  const { kind, reading } = entry
  // Each stage's name for a kind takes readings of that kind.
  const name = stages.map(({ names }) => names?.[kind]).find((one) => one !== undefined) as
    ((of: typeof reading) => string) | undefined
  return name?.(reading)
}

const methodWords: Record<string, string> = {
  amplitude: 'the instrument’s amplitudes with its probe: specification (common)',
  ripple: 'ripple of the input current (one-sided bound)',
  bandwidth: 'power above the meters’ bandwidth',
  fan: 'the fan may be in either state at this load',
  stranding: 'stranding factor of the leads',
  'assumed efficiency': 'efficiency assumed, for want of a DC ammeter',
  'rest volts': 'rest volts of the bank, as stated',
  'stated resistance': 'resistances of the batteries, as stated',
  'change of bank': 'what the network says of the changed bank',
}
