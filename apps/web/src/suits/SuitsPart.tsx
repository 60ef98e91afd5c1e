import { suitsOf, tellingRig, type Suiting } from '@even-watt/core'
import { useState } from 'react'
import { Link } from 'react-router'
import { useSaveSettings } from '../trials/useSaveSettings'
import type { TrialState } from '../trials/useTrial'
import { Overrule } from './Overrule'
import { SuitsMark } from './SuitsMark'
import { useRules } from './useRules'

interface Props {
  readonly state: TrialState
  readonly editable?: boolean
}

/** For whom it is: each use, whether the unit suits it, and why; the tester may know better. */
export function SuitsPart({ state: { trial, view }, editable = false }: Props) {
  const rules = useRules()
  const { save, problem } = useSaveSettings()
  const [open, setOpen] = useState<string>()
  const analysis = tellingRig(view.analyses)
  if (!analysis || !rules.length) return null
  const overruled = trial.overruled ?? []
  const lines = suitsOf(rules, { analysis, trial }, overruled)
  return (
    <section className="mt-5">
      <h2>Whom it suits</h2>
      <ul>
        {lines.map((line) => (
          <li key={line.name} className="break-inside-avoid border-b border-rule py-1">
            <div className="flex flex-wrap items-baseline gap-x-3">
              <span className="min-w-64 font-semibold">{line.name}</span>
              <SuitsMark says={line.says} />
              {editable && (
                <button
                  type="button"
                  className="plain-link no-print ml-auto"
                  aria-label={`Overrule: ${line.name}`}
                  onClick={() => setOpen(open === line.name ? undefined : line.name)}
                >
                  {line.why === undefined ? 'I say otherwise' : 'Change your word'}
                </button>
              )}
            </div>
            <Reasons line={line} />
            {open === line.name && (
              <Overrule
                line={line}
                problem={problem}
                onSave={async (own) => {
                  const others = overruled.filter(({ rule }) => rule !== line.name)
                  const isSaved = await save({ overruled: own ? [...others, own] : others })
                  if (isSaved) setOpen(undefined)
                  return isSaved
                }}
              />
            )}
          </li>
        ))}
      </ul>
      {editable && (
        <p className="text-quiet no-print mt-1">
          <Link className="plain-link" to="/settings/uses">
            Change what each use needs
          </Link>
        </p>
      )}
    </section>
  )
}

function Reasons({ line: { why, drafted, says, reasons } }: { readonly line: Suiting }) {
  return (
    <ul className="max-w-4xl text-[0.9rem]">
      {why !== undefined && (
        <li>
          {why}
          <span className="text-quiet">
            {' '}
            The tester’s own word{drafted === says ? '' : `; by the rule: ${drafted}`}.
          </span>
        </li>
      )}
      {reasons.map((reason) => (
        <li key={reason} className="text-quiet">
          {reason.charAt(0).toUpperCase() + reason.slice(1)}
        </li>
      ))}
    </ul>
  )
}
