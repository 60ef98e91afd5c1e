import { AskWave } from '../answers/AskWave'
import {
  columnCells,
  describeBank,
  isStation,
  keptWhy,
  pathLosses,
  ratedPower,
  type StepFigures,
} from '@even-watt/core'
import { useDeferredValue, useMemo, useRef, useState } from 'react'
import { Link } from 'react-router'
import { AgainstBefore } from './AgainstBefore'
import { BarsTable } from '../evidence/BarsTable'
import { DisplaySchool } from '../evidence/DisplaySchool'
import { DisplayTable } from '../evidence/DisplayTable'
import { TwoMetersTable } from '../evidence/TwoMetersTable'
import { ColumnChoice } from '../catalogue/ColumnChoice'
import { useColumns } from '../catalogue/useColumns'
import { useOnRig } from '../catalogue/useOnRig'
import { brokenBy, useOwnLimits } from '../catalogue/useOwnLimits'
import { OddityNotices } from '../oddities/OddityNotices'
import { PlannedNext } from '../plan/PlannedNext'
import { ArmsLengthButton } from '../trials/ArmsLengthButton'
import { StageHead } from '../trials/StageHead'
import { useOddities } from '../trials/useOddities'
import { useTrial } from '../trials/useTrial'
import { useWidth } from '../ui/useWidth'
import { layoutOf, type Place } from './columns'
import { CurveFigures } from './CurveFigures'
import { DutyEditor } from './DutyEditor'
import { Entry, type EntryHandle } from './Entry'
import { GradeLegend } from './GradeLegend'
import { IdleEntry } from './IdleEntry'
import { LadderCharts } from './LadderCharts'
import { StationRibbon } from '../station/StationRibbon'
import { Ribbon } from './Ribbon'
import { StepCards } from './StepCards'
import { StepDetail } from './StepDetail'
import { StepGrid } from './StepGrid'
import { useLadderKeys } from './useLadderKeys'

/** The ladder: ribbon over grid, the step being typed, the chosen step, and what the curve says. */
export function LadderPage() {
  const { analysis } = useTrial()
  // A draft belongs to one rig revision: another one starts its own.
  return <Ladder key={analysis.record.revision.number} />
}

/** Narrower than this, px, a ladder is a pile of cards. */
const cardsBelow = 600

function Ladder() {
  const { trial, view, unsent, analysis } = useTrial()
  const { revision } = analysis.record
  // What rests on all steps comes a moment after the row of the one that was captured.
  const { analyses } = useDeferredValue(view)
  const settled = analyses.find(({ record }) => record.revision.number === revision.number) ?? analysis
  const [holder, width] = useWidth<HTMLDivElement>()
  const choice = useColumns()
  const { columns } = choice
  const layout = useMemo(
    () => (width === undefined ? undefined : layoutOf(width, columns.length)),
    [width, columns],
  )
  const on = useOnRig(analyses, settled)
  const limits = useOwnLimits(trial, on)
  const own = useMemo(
    () => ({
      columns,
      of: (step: StepFigures) => columnCells(columns, step, on),
      broken: brokenBy(limits),
    }),
    [columns, on, limits],
  )
  const [picked, setPicked] = useState<string>()
  const [place, setPlace] = useState<Place>()
  const [idle, setIdle] = useState(false)
  const entry = useRef<EntryHandle>(null)

  const steps = analysis.ladder.steps
  const chosenFigures = steps.find((step) => step.step.id === picked) ?? steps.at(-1)
  const chosen = chosenFigures?.step.id
  const rated = ratedPower(revision.unit)
  const oddities = useOddities()
  const openOddities = oddities.filter((oddity) => keptWhy(oddity, view.record, analysis) === undefined)
  const oddSteps = useMemo(
    () => new Set(openOddities.flatMap((oddity) => oddity.at.step ?? [])),
    [openOddities],
  )
  const unsentSteps = new Set(
    steps
      .filter((step) => step.step.readings.some((entry) => unsent.has(entry.id)))
      .map((step) => step.step.id),
  )
  const general = openOddities.filter(
    ({ at }) => at.step === undefined && at.claim === undefined && at.part !== 'unit',
  )

  const path = useMemo(
    () => (chosenFigures ? pathLosses(chosenFigures, settled.supply, revision.rig) : undefined),
    [chosenFigures, settled, revision],
  )

  const repeat = () => {
    if (chosenFigures) entry.current?.repeat(chosenFigures)
  }
  const wide = width !== undefined && width >= cardsBelow
  const grid = {
    analysis,
    rated,
    chosen,
    oddSteps,
    unsentSteps,
    own,
    onChoose: setPicked,
    onIdle: () => setIdle(!idle),
  }
  const closeIdle = () => {
    setIdle(false)
    document.getElementById('entry load')?.focus()
  }
  useLadderKeys({
    steps: steps.map((step) => step.step.id),
    chosen,
    choose: setPicked,
    repeat,
  })

  return (
    <>
      <StageHead>
        <span className="text-quiet max-md:hidden">
          Capture <span className="kbd">Enter</span>
        </span>
        {!idle && <ArmsLengthButton onOpen={() => entry.current?.armsLength()} />}
        <Link className="plain-link" to={`/trials/${trial.id}/readings`}>
          Import readings
        </Link>
      </StageHead>
      <AskWave />
      <div ref={holder} className="overflow-x-auto">
        {layout && (
          <>
            {isStation(revision.unit) ? (
              <StationRibbon analysis={analysis} />
            ) : wide ? (
              <Ribbon
                layout={layout}
                step={chosenFigures}
                bank={describeBank(revision.rig.bank)}
                unit={revision.unit.name}
                path={path}
                chosen={place}
                onChoose={(next) => setPlace(place === next ? undefined : next)}
              />
            ) : null}
            {wide ? <StepGrid layout={layout} place={place} {...grid} /> : <StepCards {...grid} />}
            {idle && <IdleEntry onDone={closeIdle} />}
            <GradeLegend analysis={analysis} />
            <PlannedNext onTake={(planned) => entry.current?.take(planned)} />
            <Entry
              handle={entry}
              layout={wide ? layout : undefined}
              own={own}
              onCaptured={() => setPicked(undefined)}
            />
            <ColumnChoice state={choice} />
          </>
        )}
      </div>
      {steps.length === 0 && (
        <p className="mt-2">
          No step yet. Type what is connected, press <span className="kbd">Enter</span>, and read the meters
          in the order of your bench. Three loaded steps make a curve.
        </p>
      )}
      {chosenFigures && (
        <StepDetail
          figures={chosenFigures}
          settled={settled}
          on={on}
          columns={choice}
          place={place}
          oddities={oddities.filter((oddity) => oddity.at.step === chosen)}
          onCorrect={(reading) => entry.current?.correct(reading)}
          onRepeat={repeat}
        />
      )}
      <OddityNotices oddities={general} />
      <AgainstBefore analyses={analyses} analysis={settled} />
      <LadderCharts
        title={trial.title}
        analyses={analyses}
        analysis={settled}
        limits={limits}
        chosenStep={chosen}
        onChoose={setPicked}
      />
      {steps.length > 0 && (
        <section className="mt-2">
          <h2>What the curve says</h2>
          <CurveFigures analysis={settled} rated={rated} duty={trial.duty} dutyEditor={<DutyEditor />} />
        </section>
      )}
      <TwoMetersTable analysis={settled} />
      <DisplayTable analysis={settled}>
        <DisplaySchool />
      </DisplayTable>
      <BarsTable analysis={settled} />
    </>
  )
}
