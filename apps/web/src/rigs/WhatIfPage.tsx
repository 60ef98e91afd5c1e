import type { EntryOf, RigChange, StoredRig } from '@even-watt/contract'
import {
  changedRig,
  describeChanges,
  describeElement,
  isCable,
  isFigure,
  keepPrediction,
  normalisedError,
  parseGauge,
  placed,
  predictSteps,
  predictSupply,
  say,
  sayFigure,
  uncertain,
  viewSupply,
  type Analysis,
  readingsOf,
} from '@even-watt/core'
import { useMemo, useState } from 'react'
import { v7 } from 'uuid'
import { capture } from '../outbox/outbox'
import { useUnitQuestion } from '../supply/useUnitQuestion'
import { TakingBack } from '../trials/TakingBack'
import { useTrial } from '../trials/useTrial'
import { readNumber, SelectField, TextField } from '../ui/form'
import { Notice } from '../ui/Notice'
import { ChangeRig } from './ChangeRig'
import { PredictedTable } from './PredictedTable'
import { RigHead } from './RigTabs'
import { useLoadsToPredict } from './useLoadsToPredict'

/** Changes tried out on the measured supply before a spanner is lifted. */
export function WhatIfPage() {
  const { analysis, view } = useTrial()
  return (
    <>
      <RigHead />
      <p className="text-quiet mb-2 max-w-3xl">
        What a change would do, from the values measured on this rig. It is a prediction until the change is
        made; kept, it stands beside what the change then did.
      </p>
      <Trying key={analysis.record.revision.number} />
      {view.analyses.map((one) => (
        <Kept key={one.record.revision.number} analysis={one} />
      ))}
    </>
  )
}

const kinds = [
  ['remake', 'remake a joint'],
  ['cable', 'another cable'],
  ['battery', 'add a battery in parallel'],
  ['support', 'add a charger'],
  ['take-off', 'move the take-off'],
] as const

type Kind = (typeof kinds)[number][0]

function Trying() {
  const { trial, analysis } = useTrial()
  const { rig, number } = analysis.record.revision
  const [changes, setChanges] = useState<readonly RigChange[]>([])
  const [changing, setChanging] = useState(false)
  const question = useUnitQuestion(analysis)
  const loads = useLoadsToPredict(analysis)
  const predicted = useMemo(() => {
    if (!changes.length) return undefined
    const after = predictSupply(rig, analysis.supply, changes)
    const rigAfter = changedRig(rig, changes)
    return { after, rigAfter, steps: predictSteps(after, loads) }
  }, [changes, rig, analysis, loads])
  const words = describeChanges(rig, changes)
  const keep = () => {
    if (!predicted) return
    const headroom = viewSupply(predicted.rigAfter, predicted.after, question)?.toAlarm.outputPower
    void capture(trial.id, [
      {
        id: v7(),
        revision: number,
        at: new Date().toISOString(),
        kind: 'prediction',
        reading: keepPrediction(changes, words, predicted.steps, headroom),
      },
    ])
    setChanges([])
  }
  const last = trial.revisions.at(-1)
  return (
    <section>
      <h2>What if</h2>
      {changes.length > 0 && (
        <ul className="mb-2">
          {changes.map((change, i) => (
            <li key={i} className="flex gap-4">
              <span>{describeChanges(rig, [change])}</span>
              <button
                type="button"
                className="plain-link"
                onClick={() => setChanges(changes.filter((_, k) => k !== i))}
              >
                Leave it out
              </button>
            </li>
          ))}
        </ul>
      )}
      <AddChange rig={rig} onAdd={(change) => setChanges([...changes, change])} />
      {predicted && (
        <div className="mt-3">
          <h3 className="font-semibold">If: {words}</h3>
          {!isFigure(predicted.after.R_bank) && <Notice kind="odd">{predicted.after.R_bank.missing}</Notice>}
          <PredictedTable
            steps={predicted.steps}
            analysis={analysis}
            after={predicted.after}
            rigAfter={predicted.rigAfter}
          />
          <div className="no-print mt-2 flex gap-2">
            <button type="button" className="action action-main" onClick={keep}>
              Keep this prediction
            </button>
            <button type="button" className="action" onClick={() => setChanging(true)}>
              Make the change
            </button>
          </div>
        </div>
      )}
      {changing && last && predicted && (
        <ChangeRig
          rig={{ ...last.rig, ...predicted.rigAfter }}
          after={last.number}
          because={words}
          onDone={() => setChanging(false)}
        />
      )}
    </section>
  )
}

function AddChange({ rig, onAdd }: { rig: StoredRig; onAdd: (change: RigChange) => void }) {
  const [kind, setKind] = useState<Kind>('remake')
  const joints = placed(rig).filter(({ element }) => !isCable(element))
  const leads = placed(rig).filter(({ element }) => isCable(element))
  const [form, setForm] = useState<Readonly<Record<string, string>>>({})
  const [why, setWhy] = useState<ReadonlyMap<string, string>>(new Map())
  const field = (name: string) => ({
    value: form[name] ?? '',
    onChange: (event: { target: { value: string } }) => setForm({ ...form, [name]: event.target.value }),
    error: why.get(name),
  })
  const add = () => {
    const faults = new Map<string, string>()
    const number = (name: string, factor = 1): number => {
      const { value, why: fault } = readNumber(form[name])
      if (fault !== undefined || value === undefined || value <= 0) {
        faults.set(name, fault ?? 'A number above 0 is needed here.')
        return NaN
      }
      return value * factor
    }
    const change = ((): RigChange | undefined => {
      switch (kind) {
        case 'remake':
          return { kind, element: form['joint'] || joints[0]?.element.id || '' }
        case 'cable': {
          const element = leads.find((one) => one.element.id === form['lead']) ?? leads[0]
          const gauge = parseGauge(form['gauge'] ?? '')
          if (!gauge.ok) faults.set('gauge', gauge.why)
          if (!gauge.ok || !element || !isCable(element.element)) return undefined
          const old = element.element.conductors[0]
          if (!old) return undefined
          const length = form['length']?.trim() ? number('length') : old.length
          return { kind, element: element.element.id, conductor: { ...old, gauge: gauge.gauge, length } }
        }
        case 'battery':
          return {
            kind,
            name: form['name']?.trim() || 'another battery',
            rest: number('rest'),
            resistance: number('resistance', 0.001),
            link: number('link', 0.001),
          }
        case 'support':
          return { kind, current: number('current') }
        case 'take-off':
          return {
            kind,
            positiveAt: Number(form['positiveAt'] ?? 0),
            negativeAt: Number(form['negativeAt'] ?? 0),
          }
      }
    })()
    setWhy(faults)
    if (change && !faults.size) onAdd(change)
  }
  const strings = rig.bank.strings.map(
    (string, i) => [String(i), `${i + 1}: ${string[0]?.name ?? ''}`] as const,
  )
  const possible = kinds.filter(
    ([one]) => one !== 'take-off' || (strings.length > 1 && rig.bank.join.kind === 'in line'),
  )
  const named = (list: typeof joints) =>
    list.map(({ element }) => [element.id, `${element.name} (${describeElement(element)})`] as const)
  return (
    <div className="no-print grid grid-cols-2 items-end gap-3 md:grid-cols-4 lg:grid-cols-6">
      <SelectField
        label="Change"
        value={kind}
        onChange={(event) => setKind(event.target.value as Kind)}
        options={possible}
      />
      {kind === 'remake' && (
        <SelectField label="Which" {...field('joint')} options={named(joints)} className="md:col-span-2" />
      )}
      {kind === 'cable' && (
        <>
          <SelectField label="Which" {...field('lead')} options={named(leads)} />
          <TextField label="New gauge" {...field('gauge')} placeholder="25 mm² or 2 AWG" />
          <TextField label="New length" unit="m" {...field('length')} hint="left empty: as it is" />
        </>
      )}
      {kind === 'battery' && (
        <>
          <TextField label="Battery" {...field('name')} placeholder="G12 b" />
          <TextField label="Rest volts" unit="V" {...field('rest')} inputMode="decimal" />
          <TextField label="Its resistance" unit="mΩ" {...field('resistance')} inputMode="decimal" />
          <TextField label="Its link, each side" unit="mΩ" {...field('link')} inputMode="decimal" />
        </>
      )}
      {kind === 'support' && (
        <TextField label="It can give" unit="A" {...field('current')} inputMode="decimal" />
      )}
      {kind === 'take-off' && (
        <>
          <SelectField label="Positive lead on" {...field('positiveAt')} options={strings} />
          <SelectField label="Negative lead on" {...field('negativeAt')} options={strings} />
        </>
      )}
      <button type="button" className="action" onClick={add}>
        Try it
      </button>
    </div>
  )
}

/** Predictions kept on one revision, beside what the next one then showed. */
function Kept({ analysis }: { analysis: Analysis }) {
  const [takingBack, setTakingBack] = useState<string>()
  const { revision } = analysis.record
  const predictions = readingsOf(analysis.record, 'prediction')
  if (!predictions.length) return null
  return (
    <section className="mt-5">
      <h2>Kept on rig {revision.number}</h2>
      {predictions.map((entry) => (
        <div key={entry.id} className="mt-1">
          <h3 className="flex gap-4 font-semibold">
            {entry.reading.words}
            <button
              type="button"
              className="plain-link no-print font-normal"
              onClick={() => setTakingBack(entry.id)}
            >
              Take back
            </button>
          </h3>
          <CameTrue entry={entry} />
        </div>
      ))}
      <TakingBack entry={takingBack} what="this prediction" onDone={() => setTakingBack(undefined)} />
    </section>
  )
}

/** Loads closer than this share are the same load. */
const sameLoad = 0.02

export function CameTrue({ entry }: { entry: EntryOf<'prediction'> }) {
  const { view } = useTrial()
  const after = view.analyses.find(({ record }) => record.revision.number === entry.revision + 1)
  return (
    <div className="overflow-x-auto">
      <table className="list-table max-w-3xl">
        <thead>
          <tr>
            <th className="right">output</th>
            <th className="right">V_B predicted</th>
            <th className="right">{after ? `V_B on rig ${entry.revision + 1}` : 'not made yet'}</th>
            <th>came true?</th>
          </tr>
        </thead>
        <tbody>
          {entry.reading.steps.map(({ power, V_B, u }) => {
            const predicted = uncertain(V_B, 'prediction', u)
            const match = after?.ladder.steps.find(
              ({ P_C, read }) =>
                isFigure(P_C) && isFigure(read.V_B) && Math.abs(P_C.x.value - power) < sameLoad * power,
            )
            const shown = match?.read.V_B
            return (
              <tr key={power}>
                <td className="figures right">{say(power, 'W')}</td>
                <td className="figures right">{sayFigure({ x: predicted, unit: 'V' })}</td>
                <td className="figures right">{shown && isFigure(shown) ? sayFigure(shown) : '–'}</td>
                <td>
                  {shown && isFigure(shown) ? (
                    normalisedError(predicted, shown.x) <= 1 ? (
                      <span className="text-moss">● as predicted</span>
                    ) : (
                      <span className="text-ochre">
                        ▲ {shown.x.value > V_B ? 'better' : 'worse'} than predicted
                      </span>
                    )
                  ) : (
                    ''
                  )}
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
    </div>
  )
}
