import type { Found, FoundIn, SearchAnswer } from '@even-watt/contract'
import { useDeferredValue, useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { api } from '../api/api'
import { Loaded } from '../ui/Loaded'
import { Page } from '../ui/Page'
import { figurePlaces } from './figurePlaces'
import { holds, wordsIn } from './matching'
import { nearestTo } from './nearest'
import { pathOf, placesInOrder } from './places'
import { fixedPlaces, type Place } from './screens'

/** Figures or screens that are told; more words tell fewer. */
const mostLeads = 12

/** ms after which what is still unread is asked for again. */
const goesOn = 400

/** Everything on the bench that holds some words: units and their promises, notes, remarks, findings. */
export function SearchPage() {
  const [parameters, setParameters] = useSearchParams()
  const [typed, setTyped] = useState(parameters.get('q') ?? '')
  const q = useDeferredValue(typed.trim())
  const ask = (words: string) => {
    setTyped(words)
    setParameters(words.trim() ? { q: words.trim() } : {}, { replace: true })
  }
  return (
    <Page title="Search">
      <form role="search" onSubmit={(event) => event.preventDefault()}>
        <input
          type="search"
          className="input max-w-xl text-lg"
          aria-label="Search everything"
          placeholder="a unit, a promise, a note, what was found …"
          maxLength={100}
          autoFocus
          value={typed}
          onChange={({ target }) => ask(target.value)}
        />
      </form>
      {q.length > 1 ? (
        <Answer q={q} onAsk={ask} />
      ) : (
        <p className="text-quiet mt-3 max-w-prose">
          Two letters or more. Every word must stand in what is found. All is looked through: units, rigs,
          trials, findings, remarks, photographs, notes.
        </p>
      )}
    </Page>
  )
}

interface AnswerProps {
  readonly q: string
  readonly onAsk: (words: string) => void
}

function Answer({ q, onAsk }: AnswerProps) {
  const [unread, setUnread] = useState(1)
  const query = api.useSearchQuery(q, {
    refetchOnMountOrArgChange: true,
    pollingInterval: unread > 0 ? goesOn : 0,
  })
  const left = query.data?.unread ?? 1
  if (left !== unread) setUnread(left)
  return (
    <Loaded query={query} what="what was found">
      {(answer) => <Groups q={q} answer={answer} onAsk={onAsk} />}
    </Loaded>
  )
}

function Groups({
  q,
  answer: { found, more, unread },
  onAsk,
}: AnswerProps & { readonly answer: SearchAnswer }) {
  const { data: page } = api.useTrialsQuery({ by: 'lastAt', limit: 1 })
  const parts = wordsIn(q)
  const screens = fixedPlaces.filter((one) => holds(one, parts))
  const figures = figurePlaces(q, page?.trials[0])
  const groups = placesInOrder
    .map(([place, title]) => ({ place, title, here: found.filter((one) => one.in === place) }))
    .filter(({ here }) => here.length)
  return (
    <div className="mt-3">
      {unread > 0 && (
        <p className="text-quiet" role="status">
          The findings of {unread} more {unread === 1 ? 'trial is' : 'trials are'} still being read …
        </p>
      )}
      <Leads title="Figures" to={figures} />
      <Leads title="Screens and methods" to={screens} />
      {groups.length + figures.length + screens.length === 0 && unread === 0 && (
        <Nothing q={q} onAsk={onAsk} />
      )}
      {groups.map(({ place, title, here }) => (
        <Group key={place} title={title} here={here} />
      ))}
      {more && <p className="text-quiet mt-3">There is more of some kinds: add a word.</p>}
    </div>
  )
}

/** Where figures, screens and pages of the method stand. */
function Leads({ title, to: places }: { readonly title: string; readonly to: readonly Place[] }) {
  if (!places.length) return null
  return (
    <section className="mb-3">
      <h2>{title}</h2>
      <ul>
        {places.slice(0, mostLeads).map(({ words, to }) => (
          <li key={to} className="border-b border-rule py-1">
            <Link className="plain-link" to={to}>
              {words}
            </Link>
          </li>
        ))}
      </ul>
    </section>
  )
}

function Nothing({ q, onAsk }: AnswerProps) {
  const nearest = nearestTo(q, [])
  return (
    <p>
      Nothing on this bench holds “{q}”.
      {nearest !== undefined && (
        <>
          {' '}
          Nearest:{' '}
          <button type="button" className="plain-link" onClick={() => onAsk(nearest)}>
            {nearest}
          </button>
        </>
      )}
    </p>
  )
}

function Group({ title, here }: { title: string; here: readonly (Found & { in: FoundIn })[] }) {
  return (
    <section className="mb-3">
      <h2>{title}</h2>
      <ul>
        {here.map((one, i) => (
          <li key={i} className="grid gap-x-4 border-b border-rule py-1 md:grid-cols-[18rem_1fr]">
            <Link className="plain-link min-w-0 font-semibold break-words" to={pathOf(one)}>
              {one.name}
            </Link>
            <span className="min-w-0 break-words">{one.words}</span>
          </li>
        ))}
      </ul>
    </section>
  )
}
