import { Overruled, sentences, type Problem } from '@even-watt/contract'
import type { Suiting } from '@even-watt/core'
import { useState } from 'react'
import { safeParse } from 'zod/mini'
import { SelectField, TextField } from '../ui/form'
import { ProblemNotice } from '../ui/Notice'

interface Props {
  readonly line: Suiting
  readonly problem: Problem | undefined
  /** Undefined: the rule stands again. */
  readonly onSave: (own: Overruled | undefined) => Promise<void>
}

/** The tester’s own word on one use, and why. */
export function Overrule({ line, problem, onSave }: Props) {
  const [says, setSays] = useState(line.says === 'does not suit' ? 'does not suit' : 'suits')
  const [why, setWhy] = useState(line.why ?? '')
  const [fault, setFault] = useState<string>()
  const submit = () => {
    const read = safeParse(Overruled, { rule: line.name, says, why: why.trim() })
    if (!read.success) return setFault(sentences(read.error)[0]?.message)
    return void onSave(read.data)
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
        value={says}
        onChange={(event) => setSays(event.target.value)}
        options={[
          ['suits', 'suits'],
          ['does not suit', 'does not suit'],
        ]}
      />
      <TextField
        label="Because"
        value={why}
        maxLength={300}
        error={fault}
        onChange={(event) => {
          setWhy(event.target.value)
          setFault(undefined)
        }}
      />
      <span className="flex gap-2 md:mt-5">
        <button type="submit" className="action action-main">
          Keep
        </button>
        {line.why !== undefined && (
          <button type="button" className="action" onClick={() => void onSave(undefined)}>
            Let the rule stand
          </button>
        )}
      </span>
      {problem && <ProblemNotice problem={problem} />}
    </form>
  )
}
