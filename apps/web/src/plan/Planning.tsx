import type { LadderPlanned, LoadUse, StoredLoad } from '@even-watt/contract'
import {
  alternativesFor,
  expectedVoltage,
  powerCap,
  powerOf,
  questionFor,
  say,
  setOf,
  suitsOutlet,
  usesOf,
  type LadderPlan,
  type Question,
} from '@even-watt/core'
import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import { useUnitQuestion } from '../rigs/atOnce/useUnitQuestion'
import { useSaveSettings } from '../trials/useSaveSettings'
import { useTrial } from '../trials/useTrial'
import { Notice, ProblemNotice } from '../ui/Notice'
import { ByHand } from './ByHand'
import { Demands } from './Demands'
import { Excluded } from './Excluded'
import { PlanTable } from './PlanTable'
import { Targets } from './Targets'
import { useChooser } from './useChooser'
import { useShelf } from './useShelf'

/** The targets, the loads that may take part, and the ladder chosen from them. */
const usualOutlets = 4

export function Planning() {
  const { trial, analysis } = useTrial()
  const { loads, shelfWithout, shelf, whole, freeze, plan: predicted } = useShelf(useTrial())
  const { save, problem } = useSaveSettings()
  const chooser = useChooser()
  const unit = useUnitQuestion(analysis)
  const cap = useMemo(() => powerCap(analysis, unit), [analysis, unit])
  const rated = unit.claim
  const { outputVoltage } = analysis.record.revision.unit
  const usable = loads.filter((load) => suitsOutlet(load, outputVoltage))
  const plan: LadderPlanned = predicted ?? { outlets: usualOutlets, excluded: othersOf(usable), steps: [] }
  const [found, setFound] = useState<LadderPlan>()
  const [adding, setAdding] = useState(false)

  const question = (next: LadderPlanned): Question =>
    questionFor(analysis, shelfWithout(next.excluded), next, cap.power)
  const byHand = {
    shelf: whole,
    outlets: plan.outlets,
    powerOf: (uses: readonly LoadUse[]) =>
      powerOf({ loads: whole.question, voltage: expectedVoltage(analysis) }, setOf(whole, uses)),
  }
  const keep = (next: LadderPlanned) => save({ plan: freeze(next) })
  const choose = async (next: LadderPlanned) => {
    const result = await chooser.choose(question(next))
    if (!result) return
    setFound(result)
    const chosenFrom = shelfWithout(next.excluded)
    await keep({
      ...next,
      steps: result.steps.map(({ target, set, power }, i) => ({
        target,
        uses: usesOf(chosenFrom, set),
        expected: power,
        locked: next.steps[i]?.locked ?? false,
      })),
    })
  }

  return (
    <>
      <Targets
        plan={plan}
        rated={rated}
        onChoose={(next) => void choose(next)}
        busy={chooser.looked !== undefined}
      />
      <Excluded
        loads={usable}
        others={loads.length - usable.length}
        outlet={outputVoltage}
        plan={plan}
        onChange={(excluded) => void keep({ ...plan, excluded })}
      />
      <Demands loads={usable} volts={outputVoltage} rated={rated} />
      {problem && <ProblemNotice problem={problem} />}
      {chooser.failed && <Notice kind="problem">The search failed. Nothing was changed; try again.</Notice>}
      {chooser.looked !== undefined && (
        <p role="status" className="my-2">
          Looking for the best ladder … {chooser.looked} sets gone into.{' '}
          <button type="button" className="plain-link" onClick={chooser.cancel}>
            Cancel
          </button>
        </p>
      )}
      {plan.steps.length === 0 ? (
        <p className="mt-3">No ladder is planned yet. Choose targets and press “Choose the loads”.</p>
      ) : (
        <>
          {found && (
            <Notice kind={found.proved ? 'good' : 'odd'} word={found.proved ? 'Best possible' : 'Cut short'}>
              {found.changes} changes in all, {found.items} loads over all steps.{' '}
              {found.proved
                ? 'No ladder from these loads does better.'
                : `A better one may exist; none has fewer than ${found.bound} changes.`}
            </Notice>
          )}
          <PlanTable
            plan={plan}
            rated={rated}
            loads={loads}
            analysis={analysis}
            unit={unit}
            byHand={byHand}
            onLock={(step) => void keep(withStep(plan, step, (one) => ({ ...one, locked: !one.locked })))}
            onRemove={(step) => void keep({ ...plan, steps: plan.steps.filter((_, i) => i !== step) })}
            alternatives={(step) =>
              alternativesFor(
                question(plan),
                plan.steps.map(({ uses }) => setOf(shelf, uses)),
                step,
              ).map(({ set, power, changes }) => ({
                uses: usesOf(shelf, set),
                power,
                changes,
              }))
            }
            onTake={(step, uses) =>
              void keep(
                withStep(plan, step, (one) => ({
                  ...one,
                  uses: [...uses],
                  expected: byHand.powerOf(uses),
                  locked: true,
                })),
              )
            }
          />
          <p className="mt-1">
            {Number.isFinite(cap.power) && `Steps are capped at ${say(cap.power, 'W')} by ${cap.because}. `}
            What a load took in earlier trials counts in place of its label. The unit’s volts are foreseen
            from what was read so far.
          </p>
        </>
      )}
      {adding ? (
        <div className="mt-2 border-t border-rule pt-2">
          <ByHand
            {...byHand}
            uses={[]}
            done="Add this step"
            onDone={(uses) => {
              setAdding(false)
              const expected = byHand.powerOf(uses)
              const step = { target: Math.round(expected), uses: [...uses], expected, locked: true }
              void keep({
                ...plan,
                steps: [...plan.steps, step].sort((a, b) => a.target - b.target),
              })
            }}
          />
        </div>
      ) : (
        <button type="button" className="plain-link mt-2" onClick={() => setAdding(true)}>
          Add a step by hand
        </button>
      )}
      {predicted && (
        <p className="mt-2">
          <Link className="plain-link" to={`/trials/${trial.id}/plan/schedule`}>
            When is each thing done, and does it fit the day? To the schedule
          </Link>
        </p>
      )}
    </>
  )
}

/** A ladder is of resistive loads until the tester says otherwise. */
const othersOf = (loads: readonly StoredLoad[]) =>
  loads.filter(({ kind }) => kind !== 'element' && kind !== 'filament').map(({ id }) => id)

type Step = LadderPlanned['steps'][number]

const withStep = (plan: LadderPlanned, step: number, change: (one: Step) => Step): LadderPlanned => ({
  ...plan,
  steps: plan.steps.map((one, i) => (i === step ? change(one) : one)),
})
