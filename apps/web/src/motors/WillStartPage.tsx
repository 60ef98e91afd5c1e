import {
  parseNumber,
  plain,
  predictedInrush,
  ratedPower,
  shortened,
  startGround,
  willItStart,
  type StartAnswer,
} from '@even-watt/core'
import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import { api } from '../api/api'
import { StageHead } from '../trials/StageHead'
import { useTrial } from '../trials/useTrial'
import { TextField } from '../ui/form'
import { outletVolts } from './tryNext'
import { useOthers, type UnitColumn } from './useOthers'
import { FitTable } from '../ui/FitTable'

/** As precise as a prediction is. */
const about = (VA: number) => plain(shortened(VA, 2))

const colour = {
  yes: 'text-moss',
  no: 'text-madder',
  close: 'text-ochre',
  'not shown': 'text-quiet',
} as const

/** Machines by units: what starts what, why, and what it would take. */
export function WillStartPage() {
  const { trial, analysis } = useTrial()
  const { data: shelf = [], isLoading } = api.useLoadsQuery()
  const [typedBase, setTypedBase] = useState('')
  const others = useOthers(trial.id)
  const parsed = typedBase.trim() ? parseNumber(typedBase) : undefined
  const base = parsed?.ok && parsed.value >= 0 && parsed.value <= 1e6 ? parsed.value : 0
  const fault =
    parsed && !parsed.ok
      ? parsed.why
      : parsed?.ok && !(parsed.value >= 0 && parsed.value <= 1e6)
        ? 'A number from 0 to 1,000,000.'
        : undefined
  const own = useMemo((): UnitColumn => {
    const { unit, rig } = analysis.record.revision
    return { id: trial.id, unit: unit.name, rig: rig.name, ground: startGround(analysis) }
  }, [trial.id, analysis])
  const columns = [own, ...others.columns]
  const machines = shelf.flatMap((load) => {
    const inrush = predictedInrush(load)
    return inrush ? [{ load, inrush }] : []
  })
  const rows = machines.map(({ load, inrush }) => {
    const answers = columns.map(({ ground }) => {
      const { unit } = ground.analysis.record.revision
      const volts = outletVolts(unit)
      return volts.some((one) => Math.abs(one / load.volts - 1) < 0.15)
        ? willItStart(load, ground, base)
        : undefined
    })
    const shown = columns.filter((_, i) => answers[i]?.answer === 'yes')
    const smallest = shown
      .map(({ unit, ground }) => ({
        unit,
        rated: ratedPower(ground.analysis.record.revision.unit) ?? Infinity,
      }))
      .sort((a, b) => a.rated - b.rated)[0]
    return { load, inrush, answers, smallest }
  })
  const yes = rows.filter(({ answers }) => answers[0]?.answer === 'yes').map(({ load }) => load.name)
  const no = rows.filter(({ answers }) => answers[0]?.answer === 'no').map(({ load }) => load.name)
  return (
    <>
      <StageHead title="Will it start mine?" />
      <p className="mb-2 max-w-4xl">
        {yes.length > 0 && `${own.unit} starts ${yes.join(', ')}. `}
        {no.length > 0 && `It does not start ${no.join(', ')}. `}
        {!yes.length &&
          !no.length &&
          machines.length > 0 &&
          'Nothing is known of its starts yet. Capture the start of a motor, or hold an overload for a time that you note.'}
      </p>
      <div className="mb-2 max-w-56">
        <TextField
          label="Beside a base load of"
          unit="W"
          inputMode="decimal"
          value={typedBase}
          error={fault}
          onChange={(event) => setTypedBase(event.target.value)}
        />
      </div>
      {!isLoading && machines.length === 0 && (
        <p>
          No machine stands on the shelf. Put one there with its watts, and its inrush or code letter:{' '}
          <Link className="plain-link" to="/loads">
            Loads
          </Link>
          .
        </p>
      )}
      {machines.length > 0 && (
        <FitTable className="min-w-[44rem]">
          <thead>
            <tr>
              <th>machine</th>
              <th>it asks for, VA</th>
              {columns.map(({ id, unit, rig }) => (
                <th key={id}>
                  {unit}
                  <span className="text-quiet block font-normal">on {rig}</span>
                </th>
              ))}
              <th>smallest shown to start it</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ load, inrush, answers, smallest }) => (
              <tr key={load.id}>
                <td>
                  <Link className="plain-link" to={`/loads/${load.id}`}>
                    {load.name}
                  </Link>
                </td>
                <td title={inrush.by} className="figures">
                  {about(inrush.from)}
                  {inrush.to !== inrush.from &&
                    (Number.isFinite(inrush.to) ? ` to ${about(inrush.to)}` : ' or more')}
                </td>
                {answers.map((answer, i) => (
                  <Cell key={columns[i]?.id ?? i} answer={answer} />
                ))}
                <td>
                  {smallest?.unit ?? (
                    <span className="text-quiet">
                      none; buy one shown to carry{' '}
                      {Number.isFinite(inrush.to)
                        ? `${about(inrush.to)} VA`
                        : `over ${about(inrush.from)} VA`}{' '}
                      for a second
                    </span>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </FitTable>
      )}
      {!others.ready && !others.failed && <p className="text-quiet mt-1">Looking at other trials …</p>}
      {others.failed && (
        <p className="text-ochre mt-1">The other trials could not be fetched; this one stands.</p>
      )}
    </>
  )
}

function Cell({ answer }: { answer: StartAnswer | undefined }) {
  if (!answer) return <td className="text-quiet">other volts</td>
  return (
    <td className="max-w-64 align-top">
      <span className={`font-semibold ${colour[answer.answer]}`}>{answer.answer}</span>
      {answer.onStiff && <span className="text-quiet">, on a stiff supply {answer.onStiff}</span>}
      <span className="text-quiet block text-[0.85rem]">{answer.why}</span>
    </td>
  )
}
