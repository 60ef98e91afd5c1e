import type { LadderPlanned, LoadUse, StoredLoad } from '@even-watt/contract'
import {
  alternativesFor,
  expectedVoltage,
  parseTargets,
  powerCap,
  powerOf,
  questionFor,
  say,
  setOf,
  suitsOutlet,
  targetSets,
  tolerance,
  usesOf,
  type LadderPlan,
  type Question,
} from '@even-watt/core'
import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import { api } from '../api/api'
import { useUnitQuestion } from '../supply/useUnitQuestion'
import { PlanHead } from './PlanHead'
import { useSaveSettings } from '../trials/useSaveSettings'
import { useTrial } from '../trials/useTrial'
import { SelectField, TextField, typed } from '../ui/form'
import { Loaded } from '../ui/Loaded'
import { Notice, ProblemNotice } from '../ui/Notice'
import { PlanTable } from './PlanTable'
import { useChooser } from './useChooser'
import { useShelf } from './useShelf'
import { ByHand } from './ByHand'

/** Which loads for which step: chosen over the whole ladder at once, then changed by hand. */
export function PlanPage() {
  const query = api.useLoadsQuery()
  return (
    <>
      <PlanHead />
      <Loaded query={query} what="the load shelf">
        {(loads) =>
          loads.length ? (
            <Planning />
          ) : (
            <p>
              The load shelf is empty.{' '}
              <Link className="plain-link" to="/loads">
                Put your loads on it
              </Link>
              , one line each, and a ladder is chosen from them.
            </p>
          )
        }
      </Loaded>
    </>
  )
}

const usualOutlets = 4

function Planning() {
  const { trial, analysis } = useTrial()
  const { loads, shelfWithout, shelf, whole, plan: predicted } = useShelf()
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
  const keep = (next: LadderPlanned) => save({ plan: next })
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
            <Notice kind={found.proved ? 'good' : 'odd'} word={found.proved ? 'Proved best' : 'Cut short'}>
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
            Steps are capped at {say(cap.power, 'W')} by {cap.because}. What a load really took in earlier
            trials stands in place of its label; what the unit’s voltage does is predicted from its readings
            so far.
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

interface TargetsProps {
  readonly plan: LadderPlanned
  readonly rated: number | undefined
  readonly busy: boolean
  readonly onChoose: (plan: LadderPlanned) => void
}

/** The targets, in per cent of rated or in watts, and the outlets there are. */
function Targets({ plan, rated, busy, onChoose }: TargetsProps) {
  const [text, setText] = useState(() =>
    plan.steps.length
      ? plan.steps
          .map(({ target }) =>
            rated ? `${typed(Number(((100 * target) / rated).toFixed(1)))} %` : `${typed(target)} W`,
          )
          .join('; ')
      : targetSets[0].shares.map((share) => `${share} %`).join('; '),
  )
  const [outlets, setOutlets] = useState(String(plan.outlets))
  const read = parseTargets(text, rated)
  const count = Number(outlets)
  const outletsWhy =
    Number.isInteger(count) && count >= 1 && count <= 60 ? undefined : 'Outlets: a whole number from 1 to 60.'
  const chosen = targetSets.find(({ shares }) => shares.map((share) => `${share} %`).join('; ') === text)
  return (
    <form
      noValidate
      className="grid grid-cols-2 items-start gap-3 md:grid-cols-[1fr_3fr_1fr_auto]"
      onSubmit={(event) => {
        event.preventDefault()
        if (!read.ok || outletsWhy !== undefined) return
        const locked = plan.steps.filter((step) => step.locked)
        const same = (a: number, b: number) => Math.abs(a - b) < 1e-6
        const free = read.targets
          .filter((target) => !locked.some((step) => same(step.target, target)))
          .map((target) => ({ target, uses: [], expected: 0, locked: false }))
        const steps = [...free, ...locked].sort((a, b) => a.target - b.target)
        onChoose({ ...plan, outlets: count, steps })
      }}
    >
      <SelectField
        label="Targets"
        value={chosen?.name ?? ''}
        onChange={(event) => {
          const set = targetSets.find(({ name }) => name === event.target.value)
          if (set) setText(set.shares.map((share) => `${share} %`).join('; '))
        }}
        options={[['', 'my own'], ...targetSets.map(({ name }) => [name, name] as const)]}
      />
      <TextField
        label="% of rated, or W"
        value={text}
        onChange={(event) => setText(event.target.value)}
        error={read.ok ? undefined : read.why}
        className="col-span-2 md:col-span-1"
      />
      <TextField
        label="Outlets"
        value={outlets}
        onChange={(event) => setOutlets(event.target.value)}
        error={outletsWhy}
        inputMode="numeric"
      />
      <button
        type="submit"
        className="action action-main mt-4"
        disabled={busy || !read.ok || outletsWhy !== undefined}
      >
        Choose the loads
      </button>
      <p className="text-quiet col-span-full text-[0.85rem]">
        Inside ± {tolerance * 100} % of each target where that can be, then fewest changes over the whole
        ladder, fewest loads, nearest. Locked steps stay.
      </p>
    </form>
  )
}

interface ExcludedProps {
  readonly loads: readonly StoredLoad[]
  /** How many loads are made for another voltage. */
  readonly others: number
  readonly outlet: number
  readonly plan: LadderPlanned
  readonly onChange: (excluded: string[]) => void
}

/** Loads that may take part in the ladder; all but elements and lamps are left out until ticked. */
function Excluded({ loads, others, outlet, plan, onChange }: ExcludedProps) {
  const out = new Set(plan.excluded)
  return (
    <details className="my-2">
      <summary className="font-semibold">
        {loads.length - loads.filter(({ id }) => out.has(id)).length} of {loads.length} loads may be used
      </summary>
      {others > 0 && (
        <p className="text-quiet">
          {others} more on the shelf {others === 1 ? 'is' : 'are'} made for another voltage than {outlet} V.
        </p>
      )}
      <ul className="columns-2 md:columns-4">
        {loads.map(({ id, name, kind }) => (
          <li key={id}>
            <label className="flex items-baseline gap-2">
              <input
                type="checkbox"
                checked={!out.has(id)}
                onChange={() =>
                  onChange(out.has(id) ? plan.excluded.filter((one) => one !== id) : [...plan.excluded, id])
                }
              />
              <span>
                {name} <span className="text-quiet text-[0.85rem]">{kind}</span>
              </span>
            </label>
          </li>
        ))}
      </ul>
    </details>
  )
}
