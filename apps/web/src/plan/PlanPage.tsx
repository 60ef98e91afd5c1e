import type { LadderPlanned, LoadUse, StoredLoad } from '@even-watt/contract'
import {
  alternativesFor,
  claimValue,
  parseTargets,
  powerCap,
  powerOf,
  questionFor,
  say,
  setOf,
  shelfFor,
  targetSets,
  tolerance,
  usesOf,
  type LadderPlan,
  type Question,
  type Shelf,
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

/** Which loads for which step: chosen over the whole ladder at once, then changed by hand. */
export function PlanPage() {
  const query = api.useLoadsQuery()
  return (
    <>
      <PlanHead />
      <Loaded query={query} what="the load shelf">
        {(loads) =>
          loads.length ? (
            <Planning loads={loads} />
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

function Planning({ loads }: { loads: readonly StoredLoad[] }) {
  const { trial, analysis } = useTrial()
  const { data: taken = [] } = api.useTakenQuery()
  const { save, problem } = useSaveSettings()
  const chooser = useChooser()
  const unit = useUnitQuestion(analysis)
  const cap = useMemo(() => powerCap(analysis, unit), [analysis, unit])
  const ratedClaim = analysis.record.revision.unit.claims.find(
    ({ quantity }) => quantity === 'continuous power',
  )
  const rated = ratedClaim && claimValue(ratedClaim)
  const plan: LadderPlanned = trial.plan ?? { outlets: usualOutlets, excluded: othersOf(loads), steps: [] }
  const shelf = useMemo(() => shelfFor(loads, taken, plan.excluded), [loads, taken, plan.excluded])
  const [found, setFound] = useState<LadderPlan>()

  const question = (next: LadderPlanned): Question =>
    questionFor(analysis, shelfFor(loads, taken, next.excluded), next, cap.power)
  const keep = (next: LadderPlanned) => save({ plan: next })
  const choose = async (next: LadderPlanned) => {
    const result = await chooser.choose(question(next))
    if (!result) return
    setFound(result)
    const chosenFrom = shelfFor(loads, taken, next.excluded)
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
      <Excluded loads={loads} plan={plan} onChange={(excluded) => void keep({ ...plan, excluded })} />
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
            onTake={(step, uses) => void keep(withUses(plan, step, uses, shelf, question(plan)))}
          />
          <p className="mt-1">
            Steps are capped at {say(cap.power, 'W')} by {cap.because}. What a load really took in earlier
            trials stands in place of its label.
          </p>
        </>
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

/** A step with other loads, which the tester fixed by choosing them. */
function withUses(
  plan: LadderPlanned,
  step: number,
  uses: readonly LoadUse[],
  shelf: Shelf,
  question: Question,
): LadderPlanned {
  const expected = powerOf(question, setOf(shelf, uses))
  return withStep(plan, step, (one) => ({ ...one, uses: [...uses], expected, locked: true }))
}

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
        const steps = read.targets.map((target) => {
          const kept = plan.steps.find((step) => step.locked && Math.abs(step.target - target) < 1e-6)
          return kept ?? { target, uses: [], expected: 0, locked: false }
        })
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
  readonly plan: LadderPlanned
  readonly onChange: (excluded: string[]) => void
}

/** Loads that may take part in the ladder; all but elements and lamps are left out until ticked. */
function Excluded({ loads, plan, onChange }: ExcludedProps) {
  const out = new Set(plan.excluded)
  return (
    <details className="my-2">
      <summary className="font-semibold">
        {loads.length - loads.filter(({ id }) => out.has(id)).length} of {loads.length} loads may be used
      </summary>
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
