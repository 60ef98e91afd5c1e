import {
  madeBy,
  type Edition,
  type NewEdition,
  type Problem,
  type Publishable,
  type Stated,
} from '@even-watt/contract'
import { changesSince, sayChange } from '@even-watt/core'
import { useMemo, useState } from 'react'
import { v7 } from 'uuid'
import { api, problemOf } from '../api/api'
import { answer } from '../ui/answers'
import { shortDate } from '../ui/dates'
import { saveFile } from '../ui/saveFile'
import { byDay } from './byDay'
import { frozen, picturesOf, wholeStyles } from './frozen'
import { escapeHtml, pageOf, sha256 } from './page'
import { sendBytes } from './send'

export interface Published {
  readonly kind: Publishable
  readonly of: string
  readonly title: string
  /** What the page states now. */
  readonly stated: readonly Stated[]
}

const nothing: readonly Edition[] = []

/** Editions of one thing, what changed since the last of them, and the next one made from a part of the screen. */
export function usePublish({ kind, of, title, stated }: Published) {
  const query = api.useEditionsQuery({ kind, of })
  const editions = query.data ?? nothing
  const [keep] = api.useKeepEditionMutation()
  const [working, setWorking] = useState(false)
  const [problem, setProblem] = useState<Problem>()
  const last = editions[0]
  const changes = useMemo(
    () => (last ? changesSince(last.stated, stated).map(sayChange) : []),
    [last, stated],
  )
  /** Resolves with whether it was published. */
  const publish = async (element: HTMLElement, why: string): Promise<boolean> => {
    setWorking(true)
    setProblem(undefined)
    try {
      const number = (last?.number ?? 0) + 1
      const pictures = await picturesOf(element)
      const content = `${head(title, number, last, why, changes, element.querySelector('h1') !== null)}${await byDay(element, () => frozen(element, pictures))}`
      const { html, hash } = await pageOf({ title, number, content, css: await wholeStyles() })
      const bytes = new TextEncoder().encode(html)
      const whole = await sha256(bytes)
      await sendBytes(whole, bytes)
      const edition: NewEdition = {
        kind,
        of,
        number,
        title,
        madeBy,
        ...(why.trim() ? { why: why.trim() } : {}),
        stated: [...stated],
        contentSha256: hash,
        sha256: whole,
        size: bytes.length,
      }
      await keep({ id: v7(), edition }).unwrap()
      saveFile(new Blob([bytes], { type: 'text/html' }), fileName(title, number))
      answer(`Edition ${number} is published, and saved as a file.`)
      return true
    } catch (error) {
      setProblem(
        error instanceof Error
          ? { type: 'about:blank', status: 0, title: error.message, detail: 'Nothing was published.' }
          : problemOf(error),
      )
      return false
    } finally {
      setWorking(false)
    }
  }
  return { editions, last, changes, working, problem, publish, loading: query.isLoading }
}

export const fileName = (title: string, number: number): string =>
  `${title
    .replace(/[^\p{L}\p{N} ,.-]/gu, '')
    .trim()
    .slice(0, 120)}, edition ${number}.html`

/** What a reader must know first: which edition it is, when and by what it was made, and what changed. */
function head(
  title: string,
  number: number,
  last: Edition | undefined,
  why: string,
  changes: readonly string[],
  /** The page has its title already. */
  titled: boolean,
): string {
  const said = `${title}, edition ${number}, published ${shortDate(new Date().toISOString())}, worked out by ${madeBy}.`
  const changed = last
    ? `<p>Changed since edition ${last.number}: ${escapeHtml(why.trim())}</p>${
        changes.length
          ? `<ul>${changes.map((sentence) => `<li>${escapeHtml(sentence)}</li>`).join('')}</ul>`
          : '<p>Every figure and verdict is as it was.</p>'
      }`
    : ''
  return `${titled ? '' : `<h1>${escapeHtml(title)}</h1>`}<p class="text-quiet">${escapeHtml(said)}</p>${changed}`
}
