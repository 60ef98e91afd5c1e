import { useState } from 'react'
import { api, problemOf } from '../api/api'
import { useAppDispatch } from '../store'
import { ChooseFile } from '../ui/ChooseFile'
import { Notice } from '../ui/Notice'
import { Page } from '../ui/Page'
import { checked, type Checked } from './checked'
import { readPage } from './page'

const mostBytes = 64 * 2 ** 20

type Said = Pick<Checked, 'kind' | 'words'> & Partial<Checked>

/** Whether a published page is still what was published. */
export function CheckPage() {
  const dispatch = useAppDispatch()
  const [said, setSaid] = useState<Said>()
  const look = async (file: File | undefined) => {
    if (!file) return
    setSaid(undefined)
    if (file.size > mostBytes)
      return setSaid({ kind: 'problem', words: `${file.name} is too large for a published page.` })
    const page = await readPage(new Uint8Array(await file.arrayBuffer()))
    if (!page) return setSaid({ kind: 'problem', words: `${file.name} is no page that Even Watt published.` })
    const known = await dispatch(
      api.endpoints.editionByContent.initiate(page.found, { subscribe: false, forceRefetch: true }),
    )
    const problem = known.data ? undefined : problemOf(known.error)
    return setSaid(
      problem && problem.status !== 404
        ? { kind: 'problem', words: problem.title }
        : checked(file.name, page, known.data),
    )
  }
  return (
    <Page title="Check a page">
      <div
        onDragOver={(event) => event.preventDefault()}
        onDrop={(event) => {
          event.preventDefault()
          void look(event.dataTransfer.files[0])
        }}
      >
        <p className="max-w-prose">
          Is a published page what was published? Choose the file, or drop it here. Its hashes are worked out
          anew, and looked for among the editions of this bench.
        </p>
        <ChooseFile
          accept=".html,text/html"
          className="action mt-2 inline-block"
          onChoose={([file]) => void look(file)}
        >
          Choose a page
        </ChooseFile>
        {said && (
          <Notice kind={said.kind}>
            {said.words}
            <Told what="What this proves" sentences={said.proves} />
            <Told what="What it cannot prove" sentences={said.cannot} />
          </Notice>
        )}
      </div>
    </Page>
  )
}

function Told({ what, sentences = [] }: { what: string; sentences?: readonly string[] | undefined }) {
  if (!sentences.length) return null
  return (
    <>
      <p className="mt-2 font-bold">{what}</p>
      <ul>
        {sentences.map((sentence) => (
          <li key={sentence}>{sentence}</li>
        ))}
      </ul>
    </>
  )
}
