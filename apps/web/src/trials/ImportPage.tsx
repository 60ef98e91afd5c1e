import type { Problem } from '@even-watt/contract'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { api, problemOf } from '../api/api'
import { ProblemNotice } from '../ui/Notice'
import { Page } from '../ui/Page'

const largest = 60 * 1024 * 1024

const refusal = (title: string, detail: string): Problem => ({
  type: 'about:blank',
  status: 422,
  title,
  detail,
})

/** Takes a trial exported elsewhere in, whole or not at all. */
export function ImportPage() {
  const [send, { isLoading }] = api.useImportTrialMutation()
  const [problem, setProblem] = useState<Problem>()
  const navigate = useNavigate()

  const take = async (file: File | undefined) => {
    if (!file) return
    setProblem(undefined)
    if (file.size > largest) {
      setProblem(refusal(`${file.name} is ${(file.size / 2 ** 20).toFixed(0)} MB.`, 'Up to 60 MB is taken.'))
      return
    }
    const text = await file.text()
    let document: unknown
    try {
      document = JSON.parse(text)
    } catch {
      setProblem(
        refusal(
          `${file.name} is not a whole JSON document.`,
          'It may be cut off, or another kind of file. Nothing was taken in.',
        ),
      )
      return
    }
    try {
      const { id } = await send(document).unwrap()
      await navigate(`/trials/${id}/ladder`)
    } catch (error) {
      setProblem(problemOf(error))
    }
  }

  return (
    <Page title="Import a trial">
      <p className="mb-3 max-w-prose">
        Choose a file that Even Watt exported (<code className="figures">….trial.json</code>). The trial comes
        in whole, with its rig revisions, meters and every reading, or not at all.
      </p>
      <label className="action inline-block">
        {isLoading ? 'Taking it in …' : 'Choose a file'}
        <input
          type="file"
          accept=".json,application/json"
          className="sr-only"
          disabled={isLoading}
          onChange={(event) => {
            void take(event.target.files?.[0])
            event.target.value = ''
          }}
        />
      </label>
      {problem && <ProblemNotice problem={problem} />}
      <p className="text-quiet mt-4">
        The format is open: its{' '}
        <a className="plain-link" href="/api/schema/trial.json">
          JSON Schema
        </a>{' '}
        is published with the application.
      </p>
    </Page>
  )
}
