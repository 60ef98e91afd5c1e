import type { LadderPlanned, LoadUse, StoredLoad } from '@even-watt/contract'
import {
  formatNumber,
  say,
  sayUses,
  supplyOf,
  tolerance,
  underPower,
  type Analysis,
  type SupplyQuestion,
} from '@even-watt/core'
import { Fragment, useState, type ComponentProps } from 'react'
import { ByHand } from './ByHand'
import { FitTable } from '../ui/FitTable'

interface Other {
  readonly uses: readonly LoadUse[]
  readonly power: number
  readonly changes: number
}

interface Props {
  readonly plan: LadderPlanned
  readonly rated: number | undefined
  readonly loads: readonly StoredLoad[]
  readonly analysis: Analysis
  readonly unit: SupplyQuestion
  readonly byHand: Pick<ComponentProps<typeof ByHand>, 'shelf' | 'outlets' | 'powerOf'>
  readonly onLock: (step: number) => void
  readonly onRemove: (step: number) => void
  readonly alternatives: (step: number) => readonly Other[]
  readonly onTake: (step: number, uses: readonly LoadUse[]) => void
}

/** The planned ladder: what to plug in at each step, what it should read, and what else would do. */
export function PlanTable(props: Props) {
  const { plan, rated, loads, analysis, unit, byHand, onLock, onRemove, alternatives, onTake } = props
  const [open, setOpen] = useState<number>()
  const supply = supplyOf(analysis.supply.known)
  const name = (uses: readonly LoadUse[]) => sayUses(loads, uses) || 'nothing small enough'
  const halfWave = (uses: readonly LoadUse[]) =>
    uses.some((use) => loads.find(({ id }) => id === use.load)?.kind === 'half-wave')
  return (
    <FitTable>
      <thead>
        <tr>
          <th className="right">target</th>
          <th>connect</th>
          <th className="right">expected</th>
          <th className="right">off by</th>
          <th className="right">at B</th>
          <th>what to change</th>
          <th className="no-print" />
        </tr>
      </thead>
      <tbody>
        {plan.steps.map((step, i) => {
          const off = step.expected / step.target - 1
          const inside = Math.abs(off) <= tolerance * 1.000001
          const point = supply && underPower(supply, step.expected + unit.loss(step.expected))
          const alarms = supply !== undefined && (!point || point.V_B < unit.alarm)
          return (
            <Fragment key={i}>
              <tr>
                <td className="figures right whitespace-nowrap">
                  {rated ? `${formatNumber((100 * step.target) / rated, 0)} %, ` : ''}
                  {say(step.target, 'W')}
                </td>
                <td>
                  {name(step.uses)}
                  {step.locked && <span className="text-quiet"> (locked)</span>}
                  {halfWave(step.uses) && (
                    <span className="text-ochre"> ▲ half-wave: a stress test as well as a load</span>
                  )}
                </td>
                <td className="figures right whitespace-nowrap">
                  {step.uses.length ? say(step.expected, 'W', 4) : '–'}
                </td>
                <td className={`figures right whitespace-nowrap ${inside ? '' : 'text-ochre'}`}>
                  {inside ? '' : '▲ '}
                  {step.uses.length ? sayOff(off) : ''}
                </td>
                <td className={`figures right whitespace-nowrap ${alarms ? 'text-madder' : ''}`}>
                  {supply === undefined ? '–' : point ? say(point.V_B, 'V', 4) : 'cannot'}
                  {alarms && ' ■ alarm'}
                </td>
                <td>{sayChange(plan.steps[i - 1]?.uses ?? [], step.uses, loads)}</td>
                <td className="no-print whitespace-nowrap">
                  <button
                    type="button"
                    className="plain-link mr-3"
                    aria-expanded={open === i}
                    onClick={() => setOpen(open === i ? undefined : i)}
                  >
                    Others
                  </button>
                  <button
                    type="button"
                    className="plain-link mr-3"
                    aria-pressed={step.locked}
                    onClick={() => onLock(i)}
                  >
                    {step.locked ? 'Unlock' : 'Lock'}
                  </button>
                  <button
                    type="button"
                    className="plain-link"
                    onClick={() => onRemove(i)}
                    aria-label={`Leave step ${i + 1} out`}
                  >
                    Leave out
                  </button>
                </td>
              </tr>
              {!inside && (
                <tr>
                  <td />
                  <td colSpan={6} className="text-ochre">
                    {sayMissing(step.target, step.expected)}
                  </td>
                </tr>
              )}
              {open === i && (
                <tr>
                  <td />
                  <td colSpan={6}>
                    <Others
                      others={alternatives(i)}
                      name={name}
                      onTake={(uses) => {
                        onTake(i, uses)
                        setOpen(undefined)
                      }}
                    />
                    <ByHand
                      {...byHand}
                      uses={step.uses}
                      done="Use these"
                      onDone={(uses) => {
                        onTake(i, uses)
                        setOpen(undefined)
                      }}
                    />
                  </td>
                </tr>
              )}
            </Fragment>
          )
        })}
      </tbody>
    </FitTable>
  )
}

function Others({
  others,
  name,
  onTake,
}: {
  others: readonly Other[]
  name: (uses: readonly LoadUse[]) => string
  onTake: (uses: readonly LoadUse[]) => void
}) {
  if (!others.length) return <p className="text-quiet">No other set of these loads comes as near.</p>
  return (
    <ul>
      {others.map((other, i) => (
        <li key={i} className="flex flex-wrap gap-x-4">
          <button type="button" className="plain-link" onClick={() => onTake(other.uses)}>
            {name(other.uses)}
          </button>
          <span className="figures">{say(other.power, 'W', 4)}</span>
          <span className="text-quiet">
            {other.changes} {other.changes === 1 ? 'change' : 'changes'} before and after
          </span>
        </li>
      ))}
    </ul>
  )
}

/** What to plug in, pull out and set otherwise, from one step to the next. */
function sayChange(
  before: readonly LoadUse[],
  after: readonly LoadUse[],
  loads: readonly StoredLoad[],
): string {
  const had = new Map(before.map((use) => [use.load, use.setting]))
  const has = new Map(after.map((use) => [use.load, use.setting]))
  const one = (use: LoadUse) => sayUses(loads, [use])
  const added = after.filter(({ load }) => !had.has(load)).map((use) => `+ ${one(use)}`)
  const reset = after
    .filter(({ load, setting }) => had.has(load) && had.get(load) !== setting)
    .map(({ load, setting }) => {
      const owned = loads.find(({ id }) => id === load)
      const to = owned?.settings.find(({ id }) => id === setting)
      return `set ${owned?.name ?? 'a load'} to ${to?.name || say(to?.watts ?? 0, 'W')}`
    })
  const removed = before.filter(({ load }) => !has.has(load)).map((use) => `− ${one(use)}`)
  return [...added, ...reset, ...removed].join(', ') || 'none'
}

function sayMissing(target: number, reached: number): string {
  const gap = target - reached
  return gap > 0
    ? `The nearest is ${say(gap, 'W')} under: borrow a load of about that to add, or one of ${say(target, 'W')}.`
    : `The nearest is ${say(-gap, 'W')} over: a load of about ${say(target, 'W')} would do.`
}

const sayOff = (off: number): string => `${off < 0 ? '−' : '+'}${formatNumber(Math.abs(off * 100), 1)} %`
