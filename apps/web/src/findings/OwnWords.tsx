import { OwnAnswer, sentences as faultsIn } from '@even-watt/contract'
import { useState } from 'react'
import { safeParse } from 'zod/mini'
import { useSaveSettings } from '../trials/useSaveSettings'
import { useTrial } from '../trials/useTrial'
import { ProblemNotice } from '../ui/Notice'
import { useKept } from '../ui/useKept'

const most = 3

interface Props {
  /** What the evidence says now. */
  readonly draft: readonly string[]
  readonly own: OwnAnswer | undefined
  readonly onDone: () => void
}

/** The answer in the tester's own words, sentence by sentence; what the evidence said meanwhile is kept beside it. */
export function OwnWords({ draft, own, onDone }: Props) {
  const { trial } = useTrial()
  const { save, problem } = useSaveSettings()
  const { typed: lines, ...kept } = useKept(`answer ${trial.id}`, own?.said ?? draft)
  const [fault, setFault] = useState<string>()
  const put = (i: number, text: string) => {
    kept.put(Array.from({ length: most }, (_, k) => (k === i ? text : (lines[k] ?? ''))))
    setFault(undefined)
  }
  const keep = async (answer: OwnAnswer | undefined) => {
    if (!(await save({ answer }))) return
    kept.saved(lines, lines)
    onDone()
  }
  const submit = () => {
    const said = lines.map((line) => line.trim()).filter(Boolean)
    const read = safeParse(OwnAnswer, { said, drafted: draft })
    if (!read.success) return setFault(faultsIn(read.error)[0]?.message)
    return void keep(read.data)
  }
  return (
    <form
      noValidate
      className="no-print my-2"
      onSubmit={(event) => {
        event.preventDefault()
        submit()
      }}
    >
      {Array.from({ length: most }, (_, i) => (
        <textarea
          key={i}
          className="input mb-1 w-full"
          rows={2}
          maxLength={600}
          aria-label={`Sentence ${i + 1}`}
          value={lines[i] ?? ''}
          onChange={(event) => put(i, event.target.value)}
        />
      ))}
      {fault && (
        <p className="text-madder" role="alert">
          {fault}
        </p>
      )}
      {problem && <ProblemNotice problem={problem} />}
      <div className="flex flex-wrap gap-2 text-[0.95rem]">
        <button type="submit" className="action action-main">
          Keep these words
        </button>
        {own && (
          <button type="button" className="action" onClick={() => void keep(undefined)}>
            As the evidence says
          </button>
        )}
        <button
          type="button"
          className="action"
          onClick={() => {
            kept.discard()
            onDone()
          }}
        >
          Cancel
        </button>
      </div>
    </form>
  )
}
