import type { Problem } from '@even-watt/contract'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { api, problemOf } from '../api/api'
import { answer } from '../ui/answers'
import { ChooseFile } from '../ui/ChooseFile'
import { ProblemNotice } from '../ui/Notice'
import { Page } from '../ui/Page'
import { formatNumber } from '@even-watt/core'

const largest = { json: 60 * 2 ** 20, zip: 2 ** 30 }

const refusal = (title: string, detail: string): Problem => ({
  type: 'about:blank',
  status: 422,
  title,
  detail,
})

async function isJson(file: File): Promise<boolean> {
  try {
    JSON.parse(await file.text())
    return true
  } catch {
    return false
  }
}

/** Takes a trial exported elsewhere in, whole or not at all. */
export function ImportPage() {
  const [send, { isLoading }] = api.useImportTrialMutation()
  const [problem, setProblem] = useState<Problem>()
  const navigate = useNavigate()

  const take = async (file: File | undefined) => {
    if (!file) return
    setProblem(undefined)
    const most = file.name.endsWith('.zip') ? largest.zip : largest.json
    if (file.size > most) {
      setProblem(
        refusal(
          `${file.name} is ${formatNumber(file.size / 2 ** 20, 0)} MB.`,
          `Up to ${most / 2 ** 20} MB is taken.`,
        ),
      )
      return
    }
    const archive = file.name.endsWith('.zip')
    if (!archive && !(await isJson(file))) {
      setProblem(
        refusal(
          `${file.name} is not a whole JSON document.`,
          'It may be cut off, or another kind of file. Nothing was taken in.',
        ),
      )
      return
    }
    const body = new Blob([file], { type: archive ? 'application/zip' : 'application/json' })
    try {
      const { id, missing } = await send(body).unwrap()
      await navigate(`/trials/${id}/ladder`)
      if (missing > 0)
        answer(
          `Taken in. ${missing === 1 ? 'One file that it names' : `${missing} files that it names`} did not come along.`,
        )
    } catch (error) {
      setProblem(problemOf(error))
    }
  }

  return (
    <Page title="Import a trial">
      <p className="mb-3 max-w-prose">
        Choose a file that Even Watt exported (<code className="figures">….trial.json</code>, or{' '}
        <code className="figures">….trial.zip</code> with its files). The trial comes in whole, with its rig
        revisions, meters and every reading, or not at all.
      </p>
      <ChooseFile
        accept=".json,.zip,application/json,application/zip"
        disabled={isLoading}
        onChoose={([file]) => void take(file)}
      >
        {isLoading ? 'Taking it in …' : 'Choose a file'}
      </ChooseFile>
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
