import type { Edition } from '@even-watt/contract'
import { useState } from 'react'
import { api, problemOf } from '../api/api'
import { useAppDispatch } from '../store'
import { ChooseFile } from '../ui/ChooseFile'
import { shortDate } from '../ui/dates'
import { Notice } from '../ui/Notice'
import { Page } from '../ui/Page'
import { readPage } from './page'

const mostBytes = 64 * 2 ** 20

interface Said {
  readonly kind: 'good' | 'problem' | 'odd'
  readonly words: string
}

/** Whether a published page still says what was published. */
export function CheckPage() {
  const dispatch = useAppDispatch()
  const [said, setSaid] = useState<Said>()
  const look = async (file: File | undefined) => {
    if (!file) return
    setSaid(undefined)
    if (file.size > mostBytes)
      return setSaid({ kind: 'problem', words: `${file.name} is too large for a published page.` })
    const page = await readPage(await file.text())
    if (!page) return setSaid({ kind: 'problem', words: `${file.name} is no page that Even Watt published.` })
    if (page.found !== page.claimed)
      return setSaid({
        kind: 'problem',
        words: `${file.name} was changed after it was published: what it says does not have the hash that it names.`,
      })
    const known = await dispatch(
      api.endpoints.editionByContent.initiate(page.found, { subscribe: false, forceRefetch: true }),
    )
    if (known.data) return setSaid({ kind: 'good', words: sayKnown(known.data) })
    return setSaid(
      problemOf(known.error).status === 404
        ? {
            kind: 'odd',
            words: `${file.name} has the hash that it names, but no such edition was published on this bench: ask for the hash where it was.`,
          }
        : { kind: 'problem', words: problemOf(known.error).title },
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
          Is a published page what was published? Choose the file, or drop it here: its hash is worked out
          anew and looked for among the editions of this bench.
        </p>
        <ChooseFile
          accept=".html,text/html"
          className="action mt-2 inline-block"
          onChoose={([file]) => void look(file)}
        >
          Choose a page
        </ChooseFile>
        {said && <Notice kind={said.kind}>{said.words}</Notice>}
      </div>
    </Page>
  )
}

const sayKnown = ({ number, title, madeAt }: Edition): string =>
  `This is edition ${number} of “${title}”, as it was published on ${shortDate(madeAt)}. Nothing of it was changed.`
