import type { EntryOf, Rig } from '@even-watt/contract'
import {
  allOfStep,
  givenBy,
  keptWhy,
  quantityData,
  quietOfStep,
  sayWarmth,
  warmthOf,
  type Analysis,
  type Oddity,
  type OnRig,
  type StepFigures,
} from '@even-watt/core'
import { useState } from 'react'
import { Link } from 'react-router'
import { AttributionBar } from '../attribution/AttributionBar'
import { AllHeld } from '../catalogue/AllHeld'
import { HeldAgainst } from '../catalogue/HeldAgainst'
import type { ColumnsState } from '../catalogue/useColumns'
import { capture } from '../outbox/capture'
import { Strip } from '../photographs/Strip'
import { AsPlanned } from '../plan/AsPlanned'
import { DoubtMark } from '../trials/DoubtMark'
import { EntryMarks } from '../trials/EntryMarks'
import { Struck } from '../trials/Struck'
import { TakingBack } from '../trials/TakingBack'
import { useDoubt } from '../trials/useDoubt'
import { useTrial } from '../trials/useTrial'
import { answer } from '../ui/answers'
import { Asking } from '../ui/Asking'
import { shortTime } from '../ui/dates'
import { Fig } from '../ui/Fig'
import { Notice } from '../ui/Notice'
import { showValue } from '../ui/readValue'
import { StepWaves } from '../captures/StepWaves'
import { circumstances } from './circumstances'
import type { Place } from './columns'
import { LegTable } from './LegTable'

interface Props {
  readonly figures: StepFigures
  /** What all steps say together; for a moment it may be without this one. */
  readonly settled: Analysis
  /** The same with what its figures are held against. */
  readonly on: OnRig
  readonly columns: ColumnsState
  readonly oddities: readonly Oddity[]
  readonly place: Place | undefined
  readonly onCorrect: (entry: EntryOf<'ladder'>) => void
  readonly onRepeat: () => void
}

const tapsOf: Record<Place, readonly string[]> = {
  A: ['A'],
  B: ['B'],
  C: ['C'],
  path: ['A', 'B'],
  unit: ['B', 'C'],
  system: ['A', 'C'],
}

/** The readings behind the chosen step, what is odd about them, and what can be done. */
export function StepDetail({ figures, settled, on, columns, oddities, place, onCorrect, onRepeat }: Props) {
  const { trial, analysis, view } = useTrial()
  const { whyDoubted, readAgain } = useDoubt()
  const [asked, setAsked] = useState<Oddity>()
  const [takingBack, setTakingBack] = useState<string>()
  const { revision } = analysis.record
  const meterName = (id: string | undefined) => revision.meters.find((meter) => meter.id === id)?.name

  const keep = (why: string) => {
    if (!asked) return
    const entry = asked.at.entry ?? figures.step.readings.at(-1)?.id
    if (entry === undefined) return
    capture(trial.id, { revision: revision.number, kind: 'keep', entry, oddity: asked.number, why })
    answer('The reading is kept as it is, with why.')
    setAsked(undefined)
  }

  const readings = [...figures.step.readings, ...figures.step.struck].sort((a, b) => a.at.localeCompare(b.at))
  const last = figures.step.readings.at(-1)
  return (
    <section className="mt-2" aria-label="Readings of the chosen step">
      {oddities.map((oddity, i) => {
        const why = keptWhy(oddity, view.record, analysis)
        return (
          <Notice key={i} kind="odd" word={why === undefined ? 'Check this' : 'Kept'}>
            {oddity.odd} {why === undefined ? `${oddity.why} ${oddity.todo}` : `Kept: ${why}`}{' '}
            {why === undefined && (
              <button type="button" className="plain-link no-print" onClick={() => setAsked(oddity)}>
                Keep it
              </button>
            )}
          </Notice>
        )
      })}
      <AttributionBar step={figures} analysis={settled} />
      <HeldAgainst of={quietOfStep(figures, on)} columns={columns} />
      <AllHeld
        words="Every figure of this step, held against anything"
        of={() => allOfStep(figures, on)}
        columns={columns}
      />
      <Further figures={figures} />
      <LegTable figures={figures} />
      <Warm figures={figures} rig={revision.rig} />
      <AsPlanned figures={figures} />
      {last && <Strip subject={{ about: last.id }} alsoOf={readings.map(({ id }) => id)} of="this step" />}
      <ul className="text-[0.95rem]">
        {readings.map((entry) => {
          const struck = view.record.struckWhy.get(entry.id)
          const values = entry.reading.values.filter(
            (value) => !place || tapsOf[place].includes(quantityData[value.quantity].tap),
          )
          return (
            <li key={entry.id} className="flex items-baseline gap-x-3 border-b border-rule py-0.5">
              <span className="text-quiet figures">{shortTime(entry.at)}</span>
              <span className={struck === undefined ? '' : 'line-through'}>
                {values.map((value, i) => (
                  <span key={i} className="mr-2.5 inline-block" title={meterName(value.meter) ?? value.grade}>
                    <span className="text-quiet">{value.quantity}</span>{' '}
                    <span className="figures">{showValue(value.quantity, value.value, value.decimals)}</span>
                    {value.grade !== 'measured' && <span className="text-ochre"> {value.grade}</span>}
                    {place && <span className="text-quiet"> {meterName(value.meter)}</span>}
                  </span>
                ))}
                {!place && <span className="text-quiet">{circumstances(entry.reading)}</span>}
              </span>
              {struck !== undefined && <Struck entry={entry.id} why={struck} what="this reading" />}
              <EntryMarks entry={entry} />
              {struck === undefined && (
                <span className="ml-auto flex gap-3 whitespace-nowrap">
                  <DoubtMark
                    of={{ what: 'reading', entry: entry.id }}
                    why={whyDoubted(entry.id)}
                    what="this reading"
                    again={readAgain(entry)}
                  />
                </span>
              )}
              {struck === undefined && (
                <span className="no-print flex gap-3 whitespace-nowrap">
                  <button type="button" className="plain-link" onClick={() => onCorrect(entry)}>
                    Correct
                  </button>
                  <button type="button" className="plain-link" onClick={() => setTakingBack(entry.id)}>
                    Take back
                  </button>
                </span>
              )}
            </li>
          )
        })}
      </ul>
      <StepWaves
        captures={figures.step.captures}
        about={figures.step.readings.at(-1)?.id}
        words="a wave of this step"
      />
      <div className="no-print mt-1">
        <button type="button" className="plain-link" onClick={onRepeat}>
          Repeat this step <span className="kbd">R</span>
        </button>
        <Link className="plain-link ml-5" to="/sums" state={{ given: givenBy(settled, figures) }}>
          Sums from this step
        </Link>
      </div>
      <Asking
        open={asked !== undefined}
        title="Keep this reading"
        label="Why? It stands as it is, with the reason."
        action="Keep it"
        onAnswer={keep}
        onClose={() => setAsked(undefined)}
      />
      <TakingBack entry={takingBack} what="this reading" onDone={() => setTakingBack(undefined)} />
    </section>
  )
}

/** Figures of the step that have no column of their own. */
function Further({ figures }: { figures: StepFigures }) {
  const further = [
    ['path', figures.R_path],
    ['apparent power', figures.S],
    ['temperature', figures.read.T],
  ] as const
  return (
    <dl className="flex flex-wrap gap-x-5 border-b border-rule py-0.5">
      {further.map(([words, figure]) => (
        <div key={words} className="flex gap-1.5">
          <dt className="text-quiet">{words}</dt>
          <dd>
            <Fig of={figure} withUnit />
          </dd>
        </div>
      ))}
    </dl>
  )
}

/** Temperatures by place, each with its rise over the room. */
function Warm({ figures, rig }: { figures: StepFigures; rig: Rig }) {
  const said = figures.step.readings.flatMap(({ reading }) =>
    warmthOf(reading.temperatures ?? [], rig).map(sayWarmth),
  )
  return said.length ? <p>{said.join(' · ')}</p> : null
}
