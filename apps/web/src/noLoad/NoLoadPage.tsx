import type { Assignable, Entry, Quantity, Value } from '@even-watt/contract'
import {
  parseNumber,
  quantityData,
  sayClaim,
  type NoLoadFigures,
  readingsOf,
  recordedOf,
} from '@even-watt/core'
import { useState, type FormEvent } from 'react'
import { v7 } from 'uuid'
import { Verdict } from '../findings/Verdict'
import { showValue } from '../ladder/draft'
import { capture } from '../outbox/outbox'
import { OddityNotices } from '../oddities/OddityNotices'
import { StageHead } from '../trials/StageHead'
import { TakingBack } from '../trials/TakingBack'
import { useTrial } from '../trials/useTrial'
import { shortTime } from '../trials/WorkOrder'
import { Fig } from '../ui/Fig'
import { SelectField, TextField } from '../ui/form'
import { Notice } from '../ui/Notice'

/** Output on, nothing connected: idle draw, output voltage, frequency, the unit's own display. */
export function NoLoadPage() {
  const { analysis, view } = useTrial()
  const oddities = (view.oddities[view.analyses.indexOf(analysis)] ?? []).filter((oddity) =>
    readingsOf(analysis.record, 'no load').some((entry) => entry.id === oddity.at.entry),
  )
  const idle = view.findings.find((finding) => finding.claim.quantity === 'idle draw')
  return (
    <>
      <StageHead title="No load" />
      <p className="text-quiet mb-2">
        Every load unplugged, power strips too; clamp zeroed; start-up finished.
      </p>
      <div className="grid gap-8 lg:grid-cols-2">
        <section>
          <h2>Idle draw</h2>
          <IdleFigures figures={analysis.noLoad.on} />
          {analysis.noLoad.on.weak && (
            <Notice kind="odd" word="Weak">
              {analysis.noLoad.on.weak}
            </Notice>
          )}
          {idle && (
            <p className="mt-2">
              <Verdict outcome={idle.standing.outcome} /> {idle.standing.sentence}{' '}
              <span className="text-quiet">
                ({sayClaim(idle.claim)}, {idle.claim.readWhere})
              </span>
            </p>
          )}
          <OddityNotices oddities={oddities} />
          {analysis.noLoad.search.I_idle &&
            readingsOf(analysis.record, 'no load').some((entry) => entry.reading.mode === 'search') && (
              <>
                <h2 className="mt-4">Search mode</h2>
                <IdleFigures figures={analysis.noLoad.search} />
              </>
            )}
        </section>
        <NoLoadForm key={analysis.record.revision.number} />
      </div>
      <Readings />
    </>
  )
}

export function IdleFigures({ figures }: { figures: NoLoadFigures }) {
  const rows = [
    ['input current', figures.I_idle],
    ['idle power', figures.P_idle],
    ['energy per day', figures.perDay],
    ['share of the usable bank in a 12 h night', figures.perNight],
    ['days until the bank is flat', figures.daysUntilFlat],
    ['output voltage', figures.read.V_C],
    ['frequency', figures.read.f],
    ['distortion', figures.read.THD],
  ] as const
  return (
    <dl className="grid grid-cols-[auto_1fr] gap-x-5">
      {rows.map(([words, figure]) => (
        <div key={words} className="contents">
          <dt className="text-quiet">{words}</dt>
          <dd>
            <Fig of={figure} withUnit />
          </dd>
        </div>
      ))}
    </dl>
  )
}

const asked: readonly Assignable[] = ['V_A', 'V_B', 'idle I', 'V_C', 'f', 'THD', 'P_C']
const quantityOf = (assignable: Assignable): Quantity => (assignable === 'idle I' ? 'I' : assignable)
const displays = [
  ['inputVoltage', 'Display, input', 'V'],
  ['outputVoltage', 'Display, output', 'V'],
  ['outputPower', 'Display, output', 'W'],
  ['frequency', 'Display, frequency', 'Hz'],
] as const

function NoLoadForm() {
  const { trial, analysis } = useTrial()
  const { revision } = analysis.record
  const draftKey = `draft no load ${trial.id} ${revision.number}`
  const [texts, setTexts] = useState<Readonly<Record<string, string>>>(
    () => JSON.parse(localStorage.getItem(draftKey) ?? '{}') as Record<string, string>,
  )
  const [mode, setMode] = useState<'on' | 'search'>('on')
  const [faults, setFaults] = useState<Readonly<Record<string, string>>>({})
  // The ladder's ammeter reads idle too, when no other is hung up for it.
  const meterFor = (assignable: Assignable) =>
    revision.rig.assignments.find((assignment) => assignment.quantity === assignable)?.meter ??
    (assignable === 'idle I'
      ? revision.rig.assignments.find((assignment) => assignment.quantity === 'I')?.meter
      : undefined)
  const fields = asked.filter((assignable) => assignable !== 'P_C' || meterFor('P_C'))
  const type = (key: string, text: string) => {
    const next = { ...texts, [key]: text }
    setTexts(next)
    localStorage.setItem(draftKey, JSON.stringify(next))
  }

  const submit = (event: FormEvent) => {
    event.preventDefault()
    const found: Record<string, string> = {}
    const read = (key: string): number | undefined => {
      const text = texts[key]
      if (!text?.trim()) return undefined
      const parsed = parseNumber(text)
      if (!parsed.ok) found[key] = parsed.why
      return parsed.ok ? parsed.value : undefined
    }
    const at = new Date().toISOString()
    const values = fields.flatMap((assignable): Value[] => {
      const value = read(assignable)
      const quantity = quantityOf(assignable)
      const meter = meterFor(assignable)
      if (value === undefined) return []
      const factor = quantityData[quantity].unit === '%' ? 0.01 : 1
      return [
        {
          quantity,
          value: Number((value * factor).toPrecision(15)),
          grade: meter ? 'measured' : 'display',
          at,
          ...(meter ? { meter } : {}),
        },
      ]
    })
    const display = Object.fromEntries(
      displays.flatMap(([key]) => {
        const value = read(`display ${key}`)
        return value === undefined ? [] : [[key, value]]
      }),
    )
    if (!values.length && !Object.keys(found).length)
      found['V_A'] = 'Nothing is read yet: at least one value makes a reading.'
    setFaults(found)
    if (Object.keys(found).length) return
    const entry: Entry = {
      id: v7(),
      kind: 'no load',
      revision: revision.number,
      at,
      reading: {
        mode,
        values,
        ...(Object.keys(display).length ? { display } : {}),
        ...(texts['note']?.trim() ? { note: texts['note'].trim() } : {}),
      },
    }
    void capture(trial.id, [entry]).then(() => localStorage.removeItem(draftKey))
    setTexts({})
  }

  return (
    <form noValidate onSubmit={submit} className="no-print">
      <h2>Read it</h2>
      <div className="grid grid-cols-2 gap-2">
        {fields.map((assignable) => (
          <TextField
            key={assignable}
            label={
              assignable === 'idle I'
                ? 'I: input current'
                : `${assignable}: ${quantityData[quantityOf(assignable)].words}`
            }
            unit={quantityData[quantityOf(assignable)].unit}
            hint={
              revision.meters.find((meter) => meter.id === meterFor(assignable))?.name ??
              'no meter: kept as its display'
            }
            inputMode="decimal"
            value={texts[assignable] ?? ''}
            onChange={(event) => type(assignable, event.target.value)}
            error={faults[assignable]}
          />
        ))}
        {displays.map(([key, label, unit]) => (
          <TextField
            key={key}
            label={label}
            unit={unit}
            inputMode="decimal"
            value={texts[`display ${key}`] ?? ''}
            onChange={(event) => type(`display ${key}`, event.target.value)}
            error={faults[`display ${key}`]}
          />
        ))}
        <SelectField
          label="Mode"
          value={mode}
          onChange={(event) => setMode(event.target.value as typeof mode)}
          options={[
            ['on', 'output on'],
            ['search', 'search mode'],
          ]}
        />
        <TextField
          label="Note"
          value={texts['note'] ?? ''}
          onChange={(event) => type('note', event.target.value)}
        />
      </div>
      <button type="submit" className="action action-main mt-3">
        Capture
      </button>
    </form>
  )
}

function Readings() {
  const { analysis, view, unsent } = useTrial()
  const [takingBack, setTakingBack] = useState<string>()
  const all = recordedOf(analysis.record, 'no load')
  if (!all.length) return <p className="mt-4">No reading without load yet.</p>
  return (
    <section className="mt-4">
      <h2>Readings</h2>
      <ul>
        {all.map((entry) => {
          const why = view.record.struckWhy.get(entry.id)
          return (
            <li key={entry.id} className="flex flex-wrap items-baseline gap-x-4 border-b border-rule py-1">
              <span className="text-quiet figures">{shortTime(entry.at)}</span>
              <span className={why === undefined ? '' : 'line-through opacity-70'}>
                {entry.reading.mode === 'search' && 'search mode: '}
                {entry.reading.values.map((value, i) => (
                  <span key={i} className="mr-3">
                    <span className="text-quiet">{value.quantity}</span>{' '}
                    <span className="figures">{showValue(value.quantity, value.value)}</span>
                    {value.grade !== 'measured' && <span className="text-ochre"> {value.grade}</span>}
                  </span>
                ))}
                {entry.reading.display && (
                  <span className="text-quiet">
                    its display:{' '}
                    {displays
                      .flatMap(([key, , unit]) =>
                        entry.reading.display?.[key] === undefined
                          ? []
                          : [`${entry.reading.display[key]} ${unit}`],
                      )
                      .join(', ')}
                  </span>
                )}
              </span>
              {unsent.has(entry.id) && <span className="text-ochre">▲ unsent</span>}
              {why === undefined ? (
                <button
                  type="button"
                  className="plain-link no-print ml-auto"
                  onClick={() => setTakingBack(entry.id)}
                >
                  Take back
                </button>
              ) : (
                <span className="text-ochre">taken back: {why}</span>
              )}
            </li>
          )
        })}
      </ul>
      <TakingBack entry={takingBack} what="this reading" onDone={() => setTakingBack(undefined)} />
    </section>
  )
}
