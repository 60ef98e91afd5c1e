import { useState, type RefObject } from 'react'
import { Link } from 'react-router'
import { clockTime, shortDate } from '../ui/dates'
import { TextField } from '../ui/form'
import { Notice, ProblemNotice } from '../ui/Notice'
import { EditionData } from './EditionData'
import { fileName, usePublish, type Published } from './usePublish'

interface Props {
  readonly published: Published
  /** The part of the screen that becomes the page. */
  readonly page: RefObject<HTMLElement | null>
  /** Why it cannot be published yet, in a sentence. */
  readonly notYet?: string | undefined
}

const shownChanges = 12

/** Freezes what is on screen as an edition, says what changed since the last one, and keeps them all. */
export function PublishPart({ published, page, notYet }: Props) {
  const { editions, last, changes, working, problem, publish, loading } = usePublish(published)
  const [why, setWhy] = useState('')
  const [asked, setAsked] = useState(false)
  const needsWhy = last !== undefined && !why.trim()
  const go = async () => {
    if (needsWhy) return setAsked(true)
    // What was typed stays where nothing was published.
    if (page.current && (await publish(page.current, why))) setWhy('')
    return undefined
  }
  return (
    <section className="no-print mt-6 border-t border-rule pt-3" aria-label="Publish">
      <h2>Publish</h2>
      <p className="text-quiet max-w-prose">
        Makes one file of this page that opens anywhere, without a network. A hash in it tells whether it was
        changed.{' '}
        <Link className="plain-link" to="/check">
          Check a page
        </Link>
      </p>
      {last && (
        <>
          <p className="mt-2">
            {changes.length
              ? `Changed since edition ${last.number}:`
              : `Nothing it states changed since edition ${last.number}.`}
          </p>
          <ul className="list-disc pl-5">
            {changes.slice(0, shownChanges).map((sentence) => (
              <li key={sentence}>{sentence}</li>
            ))}
            {changes.length > shownChanges && <li>and {changes.length - shownChanges} more</li>}
          </ul>
          <TextField
            className="mt-2 max-w-xl"
            label="Why it changed"
            value={why}
            maxLength={500}
            error={asked ? 'Say it in a few words, for those who read the one before.' : undefined}
            onChange={(event) => {
              setWhy(event.target.value)
              setAsked(false)
            }}
          />
        </>
      )}
      {problem && <ProblemNotice problem={problem} />}
      {notYet && <Notice kind="odd">{notYet}</Notice>}
      <button
        type="button"
        className="action action-main mt-2"
        disabled={working || loading || notYet !== undefined}
        onClick={() => void go()}
      >
        {working ? 'Publishing …' : `Publish edition ${(last?.number ?? 0) + 1}`}
      </button>
      {editions.length > 0 && (
        <ul className="mt-3">
          {editions.map((edition) => (
            <li key={edition.id}>
              <a
                className="plain-link"
                href={`/api/blobs/${edition.sha256}?name=${encodeURIComponent(fileName(edition.title, edition.number))}`}
                download
              >
                Edition {edition.number}
              </a>
              , {shortDate(edition.madeAt)} {clockTime(edition.madeAt)}
              <EditionData edition={edition} />
              {edition.why && <span className="text-quiet"> · {edition.why}</span>}
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}
