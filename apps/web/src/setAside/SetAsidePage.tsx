import type { Entry } from '@even-watt/contract'
import { useState } from 'react'
import { Link } from 'react-router'
import { useAppSelector } from '../store'
import { answer } from '../ui/answers'
import { shortTime } from '../ui/dates'
import { Notice } from '../ui/Notice'
import { Page } from '../ui/Page'
import { saveFile } from '../ui/saveFile'
import { capture, type Made } from '../outbox/capture'
import { sendAgain, settle } from '../outbox/outbox'
import type { SetAside } from '../outbox/slice'

/** Entries that the server does not take as they are: corrected, sent again, or saved elsewhere and then dropped. */
export function SetAsidePage() {
  const { aside } = useAppSelector((state) => state.outbox)
  return (
    <Page title="Set aside">
      {aside.length === 0 ? (
        <p>Nothing is set aside: the server has taken all that it was sent.</p>
      ) : (
        <p className="mb-3 max-w-prose">
          The server does not take these as they are. They are kept in this browser; everything captured after
          them was sent on its own. Correct one and capture it anew, send it again, or save it elsewhere.
        </p>
      )}
      {aside.map((item) => (
        <Item key={item.entry.id} item={item} />
      ))}
    </Page>
  )
}

/** What is an entry’s own to correct; its id and time are given anew. */
const notOwn: readonly string[] = ['id', 'at', 'clock']
const ownPart = (entry: Entry) =>
  Object.fromEntries(Object.entries(entry).filter(([name]) => !notOwn.includes(name)))
const asText = (content: unknown) => JSON.stringify(content, null, 1)

function Item({ item }: { item: SetAside }) {
  const { trial, entry, why } = item
  const [text, setText] = useState(() => asText(ownPart(entry)))
  const [faults, setFaults] = useState<readonly string[]>([])
  const [saved, setSaved] = useState(false)

  const correct = () => {
    let made: unknown
    try {
      made = JSON.parse(text)
    } catch {
      setFaults(['This is no whole JSON text: a bracket, a quote or a comma is missing.'])
      return
    }
    const captured = capture(trial, { ...(made as Made), at: entry.at })
    if ('faults' in captured) setFaults(captured.faults.map(({ path, message }) => `${path}: ${message}`))
    else void captured.kept.then(() => settle(entry.id)).then(() => answer('Captured anew, as corrected.'))
  }
  const again = () => void sendAgain(item).then(() => answer('Sent again.'))
  const copy = async () => {
    try {
      await navigator.clipboard.writeText(asText(entry))
      setSaved(true)
      answer('Copied.')
    } catch {
      answer('The browser does not let this page copy; save it to a file.')
    }
  }
  const save = () => {
    saveFile(new Blob([asText(entry)], { type: 'application/json' }), `set aside ${entry.kind}.json`)
    setSaved(true)
    answer('Saved to a file.')
  }
  return (
    <section className="mb-6 border-t border-rule pt-2">
      <h2>
        {entry.kind}, {shortTime(entry.at)}, for{' '}
        <Link className="plain-link" to={`/trials/${trial}/ladder`}>
          its trial
        </Link>
      </h2>
      <Notice kind="problem" word="Not taken">
        {why}
      </Notice>
      <label className="block">
        <span className="text-quiet text-[0.85rem] font-semibold">What was captured, as text</span>
        <textarea
          className="input figures min-h-40"
          value={text}
          spellCheck={false}
          onChange={(event) => setText(event.target.value)}
        />
      </label>
      {faults.map((fault) => (
        <Notice key={fault} kind="problem">
          {fault}
        </Notice>
      ))}
      <div className="mt-2 flex flex-wrap gap-2">
        <button type="button" className="action action-main" onClick={correct}>
          Capture it as corrected
        </button>
        <button type="button" className="action" onClick={again}>
          Send again
        </button>
        <button type="button" className="action" onClick={() => void copy()}>
          Copy
        </button>
        <button type="button" className="action" onClick={save}>
          Save to a file
        </button>
        <button
          type="button"
          className="action"
          disabled={!saved}
          title={saved ? undefined : 'First copy it, or save it to a file.'}
          onClick={() => void settle(entry.id).then(() => answer('Dropped here.'))}
        >
          Drop it here
        </button>
      </div>
    </section>
  )
}
