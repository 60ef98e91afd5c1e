import type { Entry, EntryOf, ReadingKind, Revision, Trial } from '@even-watt/contract'
import { remembering } from '../remember'
import { carriedInto, type Carried } from './carried'
import { instrumentOf } from '../waveform/kept'
import type { Doubts, RevisionRecord, TrialRecord } from './record'
import { struckBy } from './strike'
import { inTime } from './times'
import { asWorked, type WorkedAgain } from './worked'

interface Gathered {
  readonly standing: Map<ReadingKind, Entry[]>
  readonly struck: Entry[]
}

const gathered = (): Gathered => ({ standing: new Map(), struck: [] })

function append(standing: Map<ReadingKind, Entry[]>, kind: ReadingKind, entry: Entry): void {
  const list = standing.get(kind)
  if (list) list.push(entry)
  else standing.set(kind, [entry])
}

const sameRevision = remembering<Revision, RevisionRecord>()
const sameInstruments = remembering<Revision, Revision>()

/** A revision with the instruments that captured on it among its meters, for what they captured is read on them. */
function withInstruments(revision: Revision, captures: readonly EntryOf<'capture'>[]): Revision {
  if (!captures.length) return revision
  return sameInstruments(revision, captures, () => {
    const byName = new Map<string, EntryOf<'capture'>[]>()
    for (const capture of captures) {
      const { name } = capture.reading.instrument
      byName.set(name, [...(byName.get(name) ?? []), capture])
    }
    const instruments = [...byName.values()].flatMap((own) => instrumentOf(own) ?? [])
    return { ...revision, meters: [...revision.meters, ...instruments] }
  })
}

/** What stands here of the rig before, with what was read on this one, in order of time. */
function withCarried(
  own: Gathered,
  { standing, whole }: Carried,
  last: RevisionRecord | undefined,
): Gathered {
  if (!standing.length || !last) return own
  const all = new Map(own.standing)
  for (const [kind, entries] of standing) all.set(kind, [...entries, ...(own.standing.get(kind) ?? [])])
  return { standing: all, struck: whole ? [...last.struck, ...own.struck] : own.struck }
}

/** What is carried was read on the meters of the rig before, which may hang no more. */
function withMeters(revision: Revision, before: Revision): Revision {
  const missing = before.meters.filter(({ id }) => !revision.meters.some((meter) => meter.id === id))
  return missing.length ? { ...revision, meters: [...revision.meters, ...missing] } : revision
}

/** The same record as before while nothing of it has changed, so that what follows from it need not be worked again. */
function recordOf(
  { id: trial, displayStandsIn = false, displayCorrected = false }: Trial,
  revision: Revision,
  own: Gathered,
  earlier: readonly RevisionRecord[],
  doubting: readonly EntryOf<'doubt'>[],
  worked: ReadonlyMap<string, WorkedAgain>,
): RevisionRecord {
  const last = earlier.at(-1)
  const carried = carriedInto(revision, own.standing, last)
  const { standing, struck } = withCarried(own, carried, last)
  const doubts = doubtsOf(
    doubting,
    revision,
    own.standing,
    worked,
    carried.standing.length ? last?.doubts : undefined,
  )
  const parts = [
    trial,
    displayStandsIn,
    displayCorrected,
    ...earlier,
    ...[...standing].flat(2),
    'struck',
    ...struck,
    'doubts',
    ...doubting,
    ...faultsIn(worked).flat(),
  ]
  return sameRevision(revision, parts, () => ({
    trial,
    revision: withInstruments(
      carried.standing.length && last ? withMeters(revision, last.revision) : revision,
      (standing.get('capture') ?? []) as EntryOf<'capture'>[],
    ),
    earlier,
    standing,
    doubts,
    displayStandsIn,
    displayCorrected,
    struck,
  }))
}

/** Captures whose bytes give no figures, with why. */
const faultsIn = (worked: ReadonlyMap<string, WorkedAgain>): [string, string][] =>
  [...worked].flatMap(([id, { found }]): [string, string][] =>
    'fault' in found ? [[id, 'its bytes cannot be read']] : [],
  )

/** What is doubted on one revision; doubt of a rig goes back to its beginning, doubt of a meter over all rigs. */
function doubtsOf(
  doubting: readonly EntryOf<'doubt'>[],
  revision: Revision,
  standing: Gathered['standing'],
  worked: ReadonlyMap<string, WorkedAgain>,
  before: Doubts | undefined,
): Doubts {
  const readings = new Map([...(before?.readings ?? []), ...faultsIn(worked)])
  const meters = new Map<string, string>()
  for (const { of, at, why, check, revision: number } of doubting) {
    const said = [why, check].filter(Boolean).join('; ')
    if (of.what === 'reading') readings.set(of.entry, said)
    else if (of.what === 'meter') meters.set(of.meter, said)
    else if (number === revision.number)
      for (const entry of [...standing.values()].flat()) if (entry.at <= at) readings.set(entry.id, said)
  }
  return { readings, meters }
}

/**
 * What stands after all entries of a trial: an entry counts unless it was taken back, or corrected (see
 * `struckBy`). The order in which entries arrived does not matter.
 */
export function replay(trial: Trial, entries: readonly Entry[]): TrialRecord {
  const struckWhy = struckBy(entries)
  const kept = new Map<string, string>()
  const whole = gathered()
  const doubting: EntryOf<'doubt'>[] = []
  const worked = new Map<string, WorkedAgain>()
  const revisions = new Map(trial.revisions.map(({ number }) => [number, gathered()]))
  const ordered = inTime(entries)
  for (const entry of ordered) if (entry.kind === 'worked again') worked.set(entry.entry, entry)
  for (const one of ordered) {
    if (one.kind === 'worked again') continue
    const entry = asWorked(one, worked)
    if (entry.kind === 'keep') kept.set(`${entry.entry}|${entry.oddity}`, entry.why)
    const here = revisions.get(entry.revision)
    if (struckWhy.has(entry.id)) here?.struck.push(entry)
    else if (entry.kind === 'doubt') doubting.push(entry)
    else if (entry.kind !== 'keep' && entry.kind !== 'take back') {
      append(whole.standing, entry.kind, entry)
      if (here) append(here.standing, entry.kind, entry)
    }
  }
  return {
    struckWhy,
    kept,
    worked,
    standing: whole.standing,
    revisions: trial.revisions.reduce<RevisionRecord[]>(
      (earlier, revision) => [
        ...earlier,
        recordOf(trial, revision, revisions.get(revision.number) ?? gathered(), earlier, doubting, worked),
      ],
      [],
    ),
  }
}
