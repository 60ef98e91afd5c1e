import { withLeads } from '@even-watt/core'
import { useState } from 'react'
import { Link } from 'react-router'
import { v7 } from 'uuid'
import { useRedescribed } from '../trials/useRedescribed'
import { useTrial } from '../trials/useTrial'
import { answer } from '../ui/answers'
import { TextField } from '../ui/form'
import { ProblemNotice } from '../ui/Notice'

/** Asks for the leads where nobody said what they are: in one line, and what was read stands on. */
export function AskLeads() {
  const { trial } = useTrial()
  const { newest, take, busy, problem } = useRedescribed()
  const [said, setSaid] = useState('')
  const [fault, setFault] = useState<string>()
  if (!newest) return null
  const say = async () => {
    const rig = withLeads(newest.rig, said, v7)
    if (typeof rig === 'string') return setFault(rig)
    if (await take(`the leads are ${said.trim()}`, { rig })) answer('The leads are known now.')
    return undefined
  }
  return (
    <form
      noValidate
      aria-label="The leads"
      className="no-print mt-2 flex flex-wrap items-end gap-x-3 gap-y-1"
      onSubmit={(event) => {
        event.preventDefault()
        void say()
      }}
    >
      <TextField
        label="Or say what they are"
        placeholder="16 mm² 1 m"
        value={said}
        maxLength={60}
        error={fault}
        onChange={({ target }) => {
          setSaid(target.value)
          setFault(undefined)
        }}
      />
      <button type="submit" className="action" disabled={busy}>
        Say it
      </button>
      <Link className="plain-link" to={`/trials/${trial.id}/report/photographs`}>
        Photograph them
      </Link>
      {problem && <ProblemNotice problem={problem} />}
    </form>
  )
}
