import { headline, nameOf, sayClash, sayFuses, sayNeed, sheetOf, type QuantityId } from '@even-watt/core'
import { useDeferredValue, useMemo, useState } from 'react'
import { Link, useLocation } from 'react-router'
import { printDrawn } from '../ui/drawn'
import { answer } from '../ui/answers'
import { Notice } from '../ui/Notice'
import { Page } from '../ui/Page'
import { AddLine } from './AddLine'
import { beginnings, readLines, useLines, type Given } from './lines'
import { FollowingRows, TypedRows } from './SheetRows'
import { WriteDown } from './WriteDown'

/** Type what is known, in any order: what follows, what contradicts, and what is missing. */
export function SumsPage() {
  const { state } = useLocation() as { readonly state: Given | null }
  const { lines, put, add, begin, change, remove } = useLines(state?.given)
  const [focused, setFocused] = useState<QuantityId>()
  const settled = useDeferredValue(lines)
  const { typed, faults } = useMemo(() => readLines(settled), [settled])
  const sheet = useMemo(() => sheetOf(typed), [typed])
  const told = headline(sheet)
  const fuses = sayFuses(sheet)
  const type = (ids: readonly QuantityId[]) => {
    setFocused(ids.find((id) => !lines.some((line) => line.id === id && line.text.trim())))
    begin(ids)
  }
  return (
    <Page
      title="Sums"
      actions={
        lines.length > 0 && (
          <>
            <button type="button" className="action no-print" onClick={() => put([])}>
              Begin anew
            </button>
            <button type="button" className="action no-print" onClick={() => void printDrawn()}>
              Print
            </button>
          </>
        )
      }
    >
      <p className="text-quiet mb-3">
        Type what you know, in any order; the rest follows. A range is welcome: “10 to 25 mm²”.{' '}
        <Link className="plain-link no-print" to="/method/sums">
          How it is worked
        </Link>
      </p>
      <AddLine
        lines={lines}
        onAdd={(line) => {
          setFocused(undefined)
          const gone = add(line)
          if (gone.length) answer(`${gone.map(nameOf).join(', ')} of the trial gave way to what you typed.`)
        }}
        onBegin={type}
      />
      {lines.length === 0 ? (
        <section className="no-print">
          <h2 className="mb-2">Or begin with a question</h2>
          <div className="flex flex-wrap gap-2">
            {beginnings.map(([question, known]) => (
              <button key={question} type="button" className="action" onClick={() => type(known)}>
                {question}
              </button>
            ))}
          </div>
        </section>
      ) : (
        <>
          {told && (
            <p className="mb-3 border-t-2 border-ink pt-2" role="status">
              {told}
            </p>
          )}
          {fuses && <p className="mb-3">{fuses}</p>}
          {sheet.clashes.map((clash) => (
            <Notice key={`${clash.relation.equation} ${clash.id}`} kind="odd" word="Contradiction">
              {sayClash(clash)}
            </Notice>
          ))}
          <TypedRows lines={lines} faults={faults} focused={focused} onChange={change} onRemove={remove} />
          {sheet.follows.length > 0 && <FollowingRows follows={sheet.follows} onType={(id) => type([id])} />}
          {sheet.needs.length > 0 && (
            <section className="no-print mt-4">
              <h2>One value more would give</h2>
              <ul>
                {sheet.needs.map((need) => (
                  <li key={need.wanted} className="flex flex-wrap items-center gap-x-3 py-1">
                    {sayNeed(need)}
                    <button
                      type="button"
                      className="plain-link"
                      aria-label={`Type ${sayNeed(need)}`}
                      onClick={() => type([need.needs])}
                    >
                      Type it
                    </button>
                  </li>
                ))}
              </ul>
            </section>
          )}
          {told && <WriteDown words={told} />}
          <p className="text-quiet mt-4 max-w-prose">
            Sums are no measurement: cables and fuses follow your local code, and a licensed person where it
            asks for one.
          </p>
        </>
      )}
    </Page>
  )
}
