import {
  sentences,
  suitFigures,
  SuitRules,
  type Problem,
  type StoredSettings,
  type SuitRule,
} from '@even-watt/contract'
import { suitMeasures, usualRules } from '@even-watt/core'
import { useState } from 'react'
import { Link } from 'react-router'
import { safeParse } from 'zod/mini'
import { api, problemOf } from '../api/api'
import { answer } from '../ui/answers'
import { readNumber, RemoveButton, SelectField, TextField, typed } from '../ui/form'
import { KeptNotice } from '../ui/KeptNotice'
import { Loaded } from '../ui/Loaded'
import { Notice, ProblemNotice } from '../ui/Notice'
import { Page } from '../ui/Page'
import { useKept } from '../ui/useKept'

interface NeedForm {
  readonly figure: string
  readonly is: string
  readonly value: string
}
interface RuleForm {
  readonly name: string
  readonly needs: readonly NeedForm[]
  /** Names, set apart by commas. */
  readonly features: string
}

const toForm = (rules: readonly SuitRule[]): RuleForm[] =>
  rules.map(({ name, needs, features = [] }) => ({
    name,
    features: features.join(', '),
    needs: needs.map((need) => ({ ...need, value: typed(need.value) })),
  }))

const namesIn = (typed: string): string[] =>
  typed
    .split(',')
    .map((name) => name.trim())
    .filter(Boolean)

const newNeed: NeedForm = { figure: 'idle draw', is: 'at most', value: '' }

/** The uses that units are asked to suit, and what each needs. */
export function UsesPage() {
  const query = api.useSettingsQuery()
  return (
    <Page title="What a use needs">
      <p className="text-quiet mb-3 max-w-prose">
        A unit suits a use where it clears every line by more than what is uncertain, and does not where it
        misses one by more. These hold for all trials of this bench.
      </p>
      <Loaded query={query} what="the uses">
        {(known) =>
          known ? (
            <Uses settings={known} />
          ) : (
            <p>
              This bench was not asked yet what its mains are.{' '}
              <Link className="plain-link" to="/settings">
                Say that first
              </Link>
              , then what a use needs.
            </p>
          )
        }
      </Loaded>
    </Page>
  )
}

function Uses({ settings: { version, ...settings } }: { readonly settings: StoredSettings }) {
  const { typed: rules, ...kept } = useKept<readonly RuleForm[]>('uses', toForm(settings.suits ?? usualRules))
  const [faults, setFaults] = useState<readonly string[]>([])
  const [problem, setProblem] = useState<Problem>()
  const [save] = api.useSaveSettingsMutation()
  const put = (i: number, rule: RuleForm) => {
    setFaults([])
    kept.put(rules.map((one, k) => (k === i ? rule : one)))
  }
  const submit = async () => {
    const unread: string[] = []
    const read = safeParse(
      SuitRules,
      rules.map(({ name, needs, features }) => ({
        name: name.trim(),
        ...(features.trim() ? { features: namesIn(features) } : {}),
        needs: needs.map(({ value, ...need }) => {
          const { value: number, why } = readNumber(value)
          if (why !== undefined) unread.push(`${name}: ${why}`)
          return { ...need, value: number }
        }),
      })),
    )
    const said = [...unread, ...(read.success ? [] : sentences(read.error).map(({ message }) => message))]
    if (!read.success || said.length) return setFaults(said)
    try {
      await save({ editedFrom: version, content: { ...settings, suits: read.data } }).unwrap()
      kept.saved(rules, rules)
      setProblem(undefined)
      answer('Saved.')
    } catch (error) {
      setProblem(problemOf(error))
    }
    return undefined
  }
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        void submit()
      }}
    >
      {kept.restored && <KeptNotice onDiscard={kept.discard} />}
      {rules.map((rule, i) => (
        <fieldset key={i} className="mb-4 border-b border-rule pb-3">
          <legend className="sr-only">{rule.name || `Use ${i + 1}`}</legend>
          <div className="flex items-start gap-3">
            <TextField
              className="w-72"
              label="Use"
              value={rule.name}
              maxLength={80}
              onChange={(event) => put(i, { ...rule, name: event.target.value })}
            />
            <RemoveButton
              what={rule.name || `use ${i + 1}`}
              onRemove={() => kept.put(rules.filter((_, k) => k !== i))}
            />
          </div>
          <TextField
            className="mt-1 max-w-3xl"
            label="Must have, set apart by commas"
            placeholder="hardwiring terminals"
            value={rule.features}
            maxLength={300}
            onChange={(event) => put(i, { ...rule, features: event.target.value })}
          />
          {rule.needs.map((need, k) => (
            <Need
              key={k}
              need={need}
              onChange={(next) =>
                put(i, { ...rule, needs: rule.needs.map((one, n) => (n === k ? next : one)) })
              }
              onRemove={() => put(i, { ...rule, needs: rule.needs.filter((_, n) => n !== k) })}
            />
          ))}
          <button
            type="button"
            className="plain-link mt-1"
            onClick={() => put(i, { ...rule, needs: [...rule.needs, newNeed] })}
          >
            One more need
          </button>
        </fieldset>
      ))}
      {faults.map((fault) => (
        <Notice key={fault} kind="problem">
          {fault}
        </Notice>
      ))}
      {problem && <ProblemNotice problem={problem} />}
      <div className="flex flex-wrap gap-2">
        <button type="submit" className="action action-main">
          Save
        </button>
        <button
          type="button"
          className="action"
          onClick={() => kept.put([...rules, { name: '', needs: [newNeed], features: '' }])}
        >
          Add a use
        </button>
        <button type="button" className="action" onClick={() => kept.put(toForm(usualRules))}>
          As a bench begins
        </button>
      </div>
    </form>
  )
}

interface NeedProps {
  readonly need: NeedForm
  readonly onChange: (need: NeedForm) => void
  readonly onRemove: () => void
}

function Need({ need, onChange, onRemove }: NeedProps) {
  const figure = suitFigures.find((one) => one === need.figure) ?? 'idle draw'
  return (
    <div className="mt-1 grid max-w-3xl grid-cols-2 items-start gap-3 md:grid-cols-[2fr_1fr_1fr_auto]">
      <SelectField
        label="Needs"
        value={need.figure}
        onChange={(event) => onChange({ ...need, figure: event.target.value })}
        options={suitFigures.map((one) => [one, suitMeasures[one].words])}
      />
      <SelectField
        label="To be"
        value={need.is}
        onChange={(event) => onChange({ ...need, is: event.target.value })}
        options={[
          ['at least', 'at least'],
          ['at most', 'at most'],
        ]}
      />
      <TextField
        label="Limit"
        unit={suitMeasures[figure].unit}
        inputMode="decimal"
        value={need.value}
        onChange={(event) => onChange({ ...need, value: event.target.value })}
      />
      <RemoveButton what={`the need of ${suitMeasures[figure].words}`} onRemove={onRemove} />
    </div>
  )
}
