import { blockKinds, type Schedule } from '@even-watt/contract'
import { assumedRise, chargerOf, usualSchedule } from '@even-watt/core'
import { useState } from 'react'
import { v7 } from 'uuid'
import { StageHead } from '../trials/StageHead'
import { useSaveSettings } from '../trials/useSaveSettings'
import { useTrial } from '../trials/useTrial'
import { Notice, ProblemNotice } from '../ui/Notice'
import { UndoRedo } from '../ui/UndoRedo'
import { useHistory } from '../ui/useHistory'
import { BlockList } from './BlockList'
import { CalendarLink } from './CalendarLink'
import { benchDays, clockChanges } from './days'
import { moveBlock, orderOf } from './edit'
import { ScheduleForm } from './ScheduleForm'
import { SchedulePicture } from './SchedulePicture'
import { useNow } from './useNow'
import { useSchedule, type ScheduleState } from './useSchedule'
import { capital, sayLength } from './words'

/** The day as it is meant to go: every stage in time, the bank along it, and what the rules moved. */
export function SchedulePage() {
  const state = useSchedule(useTrial(), useNow())
  return (
    <>
      <StageHead />
      {state ? <Laid state={state} /> : <NoSchedule />}
    </>
  )
}

const ownZone = () => Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC'

/** The next opening of the bench: today if the day is young enough, else tomorrow. */
function nextStart(hours: Pick<Schedule, 'timeZone' | 'opens' | 'closes'>): string {
  const now = Date.now()
  const [today, tomorrow] = benchDays(hours, now, 2)
  const starts = today && now < today.closes ? Math.max(today.opens, now) : (tomorrow?.opens ?? now)
  return new Date(Math.ceil(starts / 300_000) * 300_000).toISOString()
}

function NoSchedule() {
  const { analysis } = useTrial()
  const { save, problem } = useSaveSettings()
  const make = () => {
    const usual = usualSchedule(analysis.record.revision.unit, v7, new Date().toISOString(), ownZone())
    void save({ schedule: { ...usual, startsAt: nextStart(usual) } })
  }
  return (
    <>
      <p className="mb-3">
        There is no schedule yet. It takes the stages in the order of work, the loads chosen for the ladder,
        and how full the bank is, and says when each begins and whether the day is long enough.
      </p>
      <button type="button" className="action action-main" onClick={make}>
        Make a schedule
      </button>
      {problem && <ProblemNotice problem={problem} />}
    </>
  )
}

function Laid({ state }: { state: ScheduleState }) {
  const { schedule, stands, clock, late, log } = state
  const { trial, analysis } = useTrial()
  const { save, problem } = useSaveSettings()
  const [chosen, setChosen] = useState<string>()
  const keep = (next: Schedule) => void save({ schedule: next })
  const history = useHistory(schedule, keep)
  return (
    <>
      <Fits state={state} />
      <Past state={state} onMove={(startsAt) => keep({ ...schedule, startsAt })} />
      {clockChanges(state.days, stands.ends, schedule.timeZone).map((sentence) => (
        <Notice key={sentence} kind="odd" word="Clocks">
          {sentence}
        </Notice>
      ))}
      <SchedulePicture
        placed={stands.placed}
        clock={clock}
        chosen={chosen}
        onChoose={setChosen}
        onMove={(block, to) => {
          const next = moveBlock(schedule, orderOf(stands.placed), block, to)
          if (next) keep(next)
        }}
      />
      <section aria-label="What the rules did">
        {stands.remarks.map(({ kind, sentence }, i) => (
          <Notice
            key={i}
            kind={kind === 'moved' ? 'good' : 'odd'}
            word={kind === 'moved' ? 'Moved' : 'Check this'}
          >
            {sentence}
          </Notice>
        ))}
        {!trial.plan?.steps.some(({ uses }) => uses.length) && (
          <Notice kind="odd" word="No loads chosen">
            The ladder stands at the usual targets until loads are chosen for it.
          </Notice>
        )}
        {chargerOf(schedule, analysis.record.revision.rig) === 0 && (
          <Notice kind="odd" word="No charger">
            The bank cannot be recharged between blocks: state the charger’s current, if there is one.
          </Notice>
        )}
      </section>
      {problem && <ProblemNotice problem={problem} />}
      <BlockList
        schedule={schedule}
        stands={stands}
        late={late}
        clock={clock}
        chosen={chosen}
        onChoose={setChosen}
        onChange={keep}
      />
      {stands.skipped.length > 0 && (
        <p className="text-quiet mt-1">Skipped: {stands.skipped.map(({ kind }) => kind).join(', ')}.</p>
      )}
      <div className="no-print my-3 flex flex-wrap items-end gap-4">
        <AddBlock schedule={schedule} onChange={keep} />
        <UndoRedo {...history} />
        <CalendarLink state={state} title={trial.title} />
      </div>
      <details className="no-print" open={log.length === 0}>
        <summary className="font-semibold">Hours, bank and times</summary>
        <ScheduleForm schedule={schedule} onSave={keep} />
      </details>
      <p className="text-quiet mt-2">
        Drag a block in the picture, or move its row with <span className="kbd">Alt</span>{' '}
        <span className="kbd">↑</span> <span className="kbd">↓</span>: it is fixed where you put it. Warming
        and cooling are assumed ({assumedRise} K at rated load) until the unit’s own are measured.
      </p>
    </>
  )
}

/** Does it fit? In one sentence. */
function Fits({ state: { stands, schedule, clock } }: { state: ScheduleState }) {
  const first = stands.placed[0]
  if (!first) return <p>Every block was taken out. Add one below.</p>
  const over = sayLength(stands.endsInOneGo - (stands.closes ?? stands.endsInOneGo))
  const days = stands.days === 1 ? '' : `So it takes ${stands.days} days, until ${clock.both(stands.ends)}.`
  return (
    <Notice
      kind={stands.fitsFirstDay ? 'good' : 'odd'}
      word={stands.fitsFirstDay ? `Fits before ${schedule.closes}` : `Does not fit before ${schedule.closes}`}
    >
      {stands.fitsFirstDay
        ? `From ${clock.both(first.from)} to ${clock.time(stands.ends)}.`
        : `In one go it would run over by ${over}. ${days}`}
    </Notice>
  )
}

/** A schedule not begun whose day is over. */
function Past({ state, onMove }: { state: ScheduleState; onMove: (startsAt: string) => void }) {
  const { schedule, days, log, clock } = state
  const [loadedAt] = useState(() => Date.now())
  const day = days.find(({ closes }) => closes > Date.parse(schedule.startsAt))
  if (log.length || !day || loadedAt < day.closes) return null
  return (
    <Notice kind="odd" word="Past">
      The finish, {clock.both(day.closes)}, is past, and nothing was begun.{' '}
      <button type="button" className="plain-link" onClick={() => onMove(nextStart(schedule))}>
        Begin at the next opening
      </button>
    </Notice>
  )
}

function AddBlock({ schedule, onChange }: { schedule: Schedule; onChange: (next: Schedule) => void }) {
  return (
    <label className="block">
      <span className="text-quiet block text-[0.85rem] font-semibold">Add a block</span>
      <select
        className="input w-auto"
        value=""
        onChange={(event) => {
          const kind = blockKinds.find((one) => one === event.target.value)
          if (kind) {
            onChange({ ...schedule, blocks: [...schedule.blocks, { id: v7(), kind, fixed: false }] })
          }
        }}
      >
        <option value="">choose …</option>
        {blockKinds.map((kind) => (
          <option key={kind} value={kind}>
            {capital(kind)}
          </option>
        ))}
      </select>
    </label>
  )
}
