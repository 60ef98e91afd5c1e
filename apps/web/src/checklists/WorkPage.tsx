import { readingsOf, sayNarrowed, sayTorque, worked, writing, type WorkedLine } from '@even-watt/core'
import type { StoredChecklist } from '@even-watt/contract'
import { useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { api } from '../api/api'
import { capture } from '../outbox/capture'
import { Strip } from '../photographs/Strip'
import { StageHead } from '../trials/StageHead'
import { useTrial } from '../trials/useTrial'
import { answer } from '../ui/answers'
import { shortTime } from '../ui/dates'
import { readNumber, SelectField } from '../ui/form'
import { Loaded } from '../ui/Loaded'
import { Notice } from '../ui/Notice'
import { readTorque } from '../ui/units'

/** A checklist worked on the rig of the screen, line by line. */
export function WorkPage() {
  return (
    <>
      <StageHead title="Checklists">
        <Link className="plain-link" to="/checklists">
          The lists
        </Link>
      </StageHead>
      <Loaded query={api.useChecklistsQuery()} what="the checklists">
        {(lists) => <Chosen lists={lists} />}
      </Loaded>
    </>
  )
}

function Chosen({ lists }: { lists: readonly StoredChecklist[] }) {
  const [parameters, setParameters] = useSearchParams()
  const { view } = useTrial()
  const begun = readingsOf(view.record, 'checked').at(-1)?.reading.list
  const wanted = parameters.get('list') ?? begun
  const list = lists.find(({ id }) => id === wanted) ?? lists.find(({ beforeTest }) => beforeTest) ?? lists[0]
  if (!list)
    return (
      <p className="max-w-prose">
        No checklist is made yet.{' '}
        <Link className="plain-link" to="/checklists/new">
          Make one
        </Link>{' '}
        of what you do before every test; it can be used again in any trial.
      </p>
    )
  return (
    <>
      {lists.length > 1 && (
        <SelectField
          className="mb-3 max-w-sm"
          label="List"
          value={list.id}
          onChange={({ target }) => {
            setParameters((before) => {
              before.set('list', target.value)
              return before
            })
          }}
          options={lists.map(({ id, name }) => [id, name] as const)}
        />
      )}
      <Work list={list} />
    </>
  )
}

function Work({ list }: { list: StoredChecklist }) {
  const { analysis, view } = useTrial()
  const { number } = analysis.record.revision
  const state = worked(list, readingsOf(view.record, 'checked'), number)
  const { lines, open } = state
  const narrowed = sayNarrowed(state)
  return (
    <>
      <h2>
        {list.name}: {open.length ? `${open.length} of ${lines.length} lines open` : 'all lines worked'} on
        rig {number}
      </h2>
      {narrowed && (
        <Notice kind="problem" word="Found wrong">
          {narrowed}
        </Notice>
      )}
      <ol>
        {lines.map((one) => (
          <Line key={one.line.id} list={list.id} worked={one} />
        ))}
      </ol>
    </>
  )
}

const signs = { done: '● done', wrong: '■ wrong', 'does not apply': '– does not apply' } as const
const colours = { done: 'text-moss', wrong: 'text-madder', 'does not apply': 'text-quiet' } as const

function Line({ list, worked: { line, last, odd } }: { list: string; worked: WorkedLine }) {
  const { trial, analysis } = useTrial()
  const [applied, setApplied] = useState('')
  const [note, setNote] = useState('')
  const [fault, setFault] = useState<string>()
  const found = last?.reading.found
  const check = (what: keyof typeof signs) => {
    const torque = readNumber(applied, readTorque)
    if (torque.why !== undefined) return setFault(torque.why)
    if (line.torque !== undefined && what === 'done' && torque.value === undefined)
      return setFault('Type the torque that was applied, in N·m or lb·in.')
    const captured = capture(trial.id, {
      kind: 'checked',
      revision: analysis.record.revision.number,
      reading: {
        list,
        line: line.id,
        words: line.words,
        found: what,
        ...(line.torque === undefined ? {} : { torque: line.torque }),
        ...(torque.value === undefined ? {} : { applied: torque.value }),
        ...(note.trim() ? { note: note.trim() } : {}),
      },
    })
    if ('faults' in captured) return setFault(captured.faults.map(({ message }) => message).join(' '))
    setApplied('')
    setNote('')
    setFault(undefined)
    answer(`${line.words}: ${what}.`)
  }
  return (
    <li className="grid items-baseline gap-x-4 gap-y-1 border-b border-rule py-1.5 md:grid-cols-[1fr_18rem_17rem]">
      <div className="min-w-0">
        <span className="font-semibold break-words">{line.words}</span>
        {line.torque !== undefined && <span className="figures"> {sayTorque(line.torque)}</span>}
        {last && found && (
          <p className={colours[found]}>
            {signs[found]}
            {last.reading.applied !== undefined && ` with ${sayTorque(last.reading.applied)}`}
            <span className="text-quiet">
              {' '}
              {shortTime(last.at)} {last.reading.note}
            </span>
          </p>
        )}
        {odd && <p className="text-ochre">▲ {odd}</p>}
        {fault && (
          <p className="text-madder" role="alert">
            {fault}
          </p>
        )}
      </div>
      <div className="no-print flex gap-2">
        {line.torque !== undefined && (
          <input
            className="input w-24"
            aria-label={`Torque applied at ${line.words}, ${writing().torque}`}
            placeholder={writing().torque}
            inputMode="decimal"
            value={applied}
            onChange={({ target }) => setApplied(target.value)}
          />
        )}
        <input
          className="input"
          aria-label={`Note on ${line.words}`}
          placeholder="note"
          maxLength={300}
          value={note}
          onChange={({ target }) => setNote(target.value)}
        />
      </div>
      <div className="no-print flex flex-wrap items-center gap-2">
        <button
          type="button"
          className="action"
          onClick={() => check('done')}
          aria-label={`${line.words}: done`}
        >
          Done
        </button>
        <button
          type="button"
          className="action"
          onClick={() => check('wrong')}
          aria-label={`${line.words}: wrong`}
        >
          Wrong
        </button>
        <button
          type="button"
          className="plain-link"
          onClick={() => check('does not apply')}
          aria-label={`${line.words}: does not apply`}
        >
          n/a
        </button>
        {last && <Strip subject={{ about: last.id }} of={line.words} />}
      </div>
    </li>
  )
}
