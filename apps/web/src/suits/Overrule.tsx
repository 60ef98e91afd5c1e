import { Overruled, sentences, type Problem } from '@even-watt/contract'
import type { Suiting } from '@even-watt/core'
import { useState } from 'react'
import { safeParse } from 'zod/mini'
import { useTrial } from '../trials/useTrial'
import { SelectField, TextField } from '../ui/form'
import { ProblemNotice } from '../ui/Notice'
import { useKept } from '../ui/useKept'

interface Props {
  readonly line: Suiting
  readonly problem: Problem | undefined
  /** Undefined: the rule stands again. Resolves with whether it is saved. */
  readonly onSave: (own: Overruled | undefined) => Promise<boolean>
}

/** The tester’s own word on one use, and why. */
export function Overrule({ line, problem, onSave }: Props) {
  const { trial } = useTrial()
  const { typed, put, saved } = useKept(`overrule ${trial.id} ${line.name}`, {
    says: line.says === 'does not suit' ? 'does not suit' : 'suits',
    why: line.why ?? '',
  })
  const [fault, setFault] = useState<string>()
  const save = async (own: Overruled | undefined) => {
    if (await onSave(own)) saved(typed, typed)
  }
  const submit = () => {
    const read = safeParse(Overruled, { rule: line.name, says: typed.says, why: typed.why.trim() })
    if (!read.success) return setFault(sentences(read.error)[0]?.message)
    return void save(read.data)
  }
  return (
    <form
      noValidate
      className="no-print my-2 grid max-w-3xl items-start gap-3 md:grid-cols-[12rem_1fr_auto]"
      onSubmit={(event) => {
        event.preventDefault()
        submit()
      }}
    >
      <SelectField
        label="It"
        value={typed.says}
        onChange={(event) => put({ ...typed, says: event.target.value })}
        options={[
          ['suits', 'suits'],
          ['does not suit', 'does not suit'],
        ]}
      />
      <TextField
        label="Because"
        value={typed.why}
        maxLength={300}
        error={fault}
        onChange={(event) => {
          put({ ...typed, why: event.target.value })
          setFault(undefined)
        }}
      />
      <span className="flex gap-2 md:mt-5">
        <button type="submit" className="action action-main">
          Keep
        </button>
        {line.why !== undefined && (
          <button type="button" className="action" onClick={() => void save(undefined)}>
            Let the rule stand
          </button>
        )}
      </span>
      {problem && <ProblemNotice problem={problem} />}
    </form>
  )
}
