import { Survey } from '@even-watt/contract'
import {
  isFigure,
  placed,
  predictSteps,
  predictSupply,
  sayFigure,
  warming,
  type Analysis,
  type SurveyFigures,
  type SurveyLine,
} from '@even-watt/core'
import { useState } from 'react'
import { TakingBack } from '../trials/TakingBack'
import { useCaptureForm } from '../trials/useCaptureForm'
import { useTrial } from '../trials/useTrial'
import { shortTime } from '../trials/WorkOrder'
import { Fig } from '../ui/Fig'
import { SelectField, TextField } from '../ui/form'
import { Notice } from '../ui/Notice'
import { PredictedTable } from './PredictedTable'
import { dcMeters } from '../supply/dcMeters'
import { RigHead } from './RigTabs'
import { useLoadsToPredict } from './useLoadsToPredict'

/** Drops across the path at a steady current: which joint to fix first, and what that gives back. */
export function SurveyPage() {
  const { analysis } = useTrial()
  const [takingBack, setTakingBack] = useState<string>()
  const { surveys } = analysis.supply
  return (
    <>
      <RigHead />
      <p className="text-quiet mb-2 max-w-3xl">
        At one steady current, put the probes on the metal itself: across each element, or at successive
        points against one reference. The current stays on meanwhile; never touch a lug under load with a
        tool.
      </p>
      {surveys.length === 0 && <p>No drop survey on this rig yet.</p>}
      {[...surveys].reverse().map((survey, i) => (
        <section key={survey.entry.id} className="mb-5">
          <h2 className="flex flex-wrap items-baseline gap-4">
            {i === 0 ? 'The newest survey' : 'An earlier survey'}, {shortTime(survey.entry.at)}, at{' '}
            {sayFigure(survey.current)}
            <button
              type="button"
              className="plain-link no-print font-normal"
              onClick={() => setTakingBack(survey.entry.id)}
            >
              Take back
            </button>
          </h2>
          <SurveyTable survey={survey} />
          {i === 0 && <WhatToFix survey={survey} analysis={analysis} />}
        </section>
      ))}
      {warming(surveys).map(({ element, from, to }) => (
        <Notice key={element.id} kind="odd" word="Warming">
          {element.name}: the drop rose from {sayFigure(from)} to {sayFigure(to)} at steady current. A joint
          that warms up gets worse: stop, let it cool, remake it.
        </Notice>
      ))}
      <SurveyForm key={`${analysis.record.revision.number} ${surveys.length}`} />
      <TakingBack entry={takingBack} what="this survey" onDone={() => setTakingBack(undefined)} />
    </>
  )
}

export function SurveyTable({ survey }: { survey: SurveyFigures }) {
  return (
    <div className="overflow-x-auto">
      <table className="list-table max-w-5xl">
        <thead>
          <tr>
            <th>element</th>
            <th className="right">drop</th>
            <th className="right">measured</th>
            <th className="right">expected</th>
            <th className="right">heat</th>
            <th>verdict</th>
          </tr>
        </thead>
        <tbody>
          {survey.lines.map((line) => (
            <tr key={line.element.id} className={line.excessive ? 'font-semibold' : ''}>
              <td>
                {line.side === 'positive' ? '+' : '−'} {line.element.name}
              </td>
              <td className="right">
                <Fig of={line.drop} withUnit />
              </td>
              <td className="right">
                <Fig of={line.resistance} withUnit />
              </td>
              <td className="right">
                <Fig of={line.expected} bare withUnit ungraded />
              </td>
              <td className="right">
                <Fig of={line.watts} withUnit hue="heat" />
              </td>
              <td>{verdict(line, survey.negative.includes(line.element.id))}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {survey.entry.reading.note && <p className="text-quiet">{survey.entry.reading.note}</p>}
    </div>
  )
}

function verdict(line: SurveyLine, negative: boolean) {
  if (negative) return <span className="text-ochre">▲ negative: is the order or a probe wrong?</span>
  if (line.excessive) {
    return (
      <span className="text-madder">
        ■ {line.ratio === undefined || line.ratio > 99 ? 'far more' : `${line.ratio.toPrecision(2)} ×`} than
        expected{line.hot ? ', hot' : ''}
      </span>
    )
  }
  return line.hot ? (
    <span className="text-ochre">▲ over 50 mV or 3 W</span>
  ) : (
    <span className="text-moss">● sound</span>
  )
}

/** The first to fix, and what fixing it returns. */
function WhatToFix({ survey, analysis }: { survey: SurveyFigures; analysis: Analysis }) {
  const [first, ...others] = survey.toFix
  const loads = useLoadsToPredict(analysis)
  const { rig } = analysis.record.revision
  if (!first) return <p className="mt-1">Every element is as it should be, within uncertainty.</p>
  const after = predictSupply(rig, analysis.supply, [{ kind: 'remake', element: first.element.id }])
  return (
    <div className="mt-2">
      <p>
        <strong>Fix the {first.element.name} first</strong>
        {isFigure(first.watts) && `: it takes ${sayFigure(first.watts)} at the current of the survey`}
        {others.length > 0 && `; then ${others.map(({ element }) => element.name).join(', ')}`}. What that
        would give back:
      </p>
      <PredictedTable steps={predictSteps(after, loads)} analysis={analysis} after={after} rigAfter={rig} />
    </div>
  )
}

function SurveyForm() {
  const { analysis } = useTrial()
  const { rig, meters } = analysis.record.revision
  const { voltmeters, ammeters, usual } = dcMeters(rig, meters)
  const elements = placed(rig)
  const { form, field, submit, faults } = useCaptureForm({
    start: {
      method: 'across',
      voltmeter: usual.voltmeter,
      ammeter: usual.ammeter,
    },
    schema: Survey,
    read: ({ number, text }) => {
      const across = text('method') !== 'points'
      const positive = number('post positive')
      const negative = number('post negative')
      return {
        current: number('current'),
        ammeter: text('ammeter'),
        voltmeter: text('voltmeter'),
        method: across ? 'across' : 'points',
        posts: across ? undefined : { positive, negative },
        readings: elements.flatMap(({ element }) => {
          const value = number(element.id)
          return value === undefined ? [] : [{ element: element.id, volts: across ? value / 1000 : value }]
        }),
        note: text('note'),
      }
    },
    entry: (reading) => ({ kind: 'survey', reading }),
  })
  const across = form['method'] !== 'points'
  if (!elements.length)
    return <p>This rig has no element between posts and terminals: draw its path first.</p>
  return (
    <form noValidate onSubmit={submit} className="no-print mt-5">
      <h2>Add a survey</h2>
      <div className="grid grid-cols-2 gap-3 md:grid-cols-4">
        <SelectField
          label="How"
          {...field('method')}
          options={[
            ['across', 'mV across each element'],
            ['points', 'V at points, against one reference'],
          ]}
        />
        <SelectField label="Volts read on" {...field('voltmeter')} options={voltmeters} />
        <TextField label="Steady current" unit="A" {...field('current')} inputMode="decimal" />
        <SelectField label="Amps read on" {...field('ammeter')} options={ammeters} />
        {!across && (
          <>
            <TextField
              label="At the positive post"
              unit="V"
              {...field('post positive')}
              inputMode="decimal"
            />
            <TextField
              label="At the negative post"
              unit="V"
              {...field('post negative')}
              inputMode="decimal"
            />
          </>
        )}
        {elements.map(({ side, element }) => (
          <TextField
            key={element.id}
            label={`${side === 'positive' ? '+' : '−'} ${across ? '' : 'after the '}${element.name}`}
            unit={across ? 'mV' : 'V'}
            {...field(element.id)}
            inputMode="decimal"
          />
        ))}
        <TextField label="Note" {...field('note')} className="col-span-full" />
      </div>
      {faults.has('readings') && <Notice kind="problem">{faults.get('readings')}</Notice>}
      <button type="submit" className="action action-main mt-3">
        Capture
      </button>
    </form>
  )
}
