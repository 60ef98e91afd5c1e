import type { LadderPlanned } from '@even-watt/contract'
import { formatNumber, parseTargets, targetSets, tolerance } from '@even-watt/core'
import { useState } from 'react'
import { SelectField, TextField, typed } from '../ui/form'

interface TargetsProps {
  readonly plan: LadderPlanned
  readonly rated: number | undefined
  readonly busy: boolean
  readonly onChoose: (plan: LadderPlanned) => void
}

/** The targets, in per cent of rated or in watts, and the outlets there are. */
export function Targets({ plan, rated, busy, onChoose }: TargetsProps) {
  const [text, setText] = useState(() =>
    plan.steps.length
      ? plan.steps
          .map(({ target }) =>
            rated ? `${formatNumber((100 * target) / rated, 1)} %` : `${typed(target)} W`,
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
