import {
  capital,
  figuresOfPage,
  placedAmong,
  ratedPower,
  say,
  sayFigure,
  sayPlace,
  type Analysis,
} from '@even-watt/core'
import { skipToken } from '@reduxjs/toolkit/query'
import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import { api } from '../api/api'
import { Fig } from '../ui/Fig'
import { FitTable } from '../ui/FitTable'

/** ms after which trials that were not read yet are asked for again. */
const goesOn = 500

interface Props {
  readonly page: string
  readonly analysis: Analysis
}

/** Where the figures of a page stand among those of the other trials of the bench: asked for when it is opened. */
export function BesideTrials({ page, analysis }: Props) {
  const figures = useMemo(() => figuresOfPage(page, analysis), [page, analysis])
  const [open, setOpen] = useState(false)
  if (!figures.length) return null
  return (
    <details className="no-print mt-4" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="cursor-pointer">Beside the other trials of this bench</summary>
      {open && <Places figures={figures} analysis={analysis} />}
    </details>
  )
}

interface PlacesProps {
  readonly figures: ReturnType<typeof figuresOfPage>
  readonly analysis: Analysis
}

function Places({ figures, analysis }: PlacesProps) {
  const [unread, setUnread] = useState(1)
  const [ofItsSize, setOfItsSize] = useState(false)
  const ids = figures.map(({ id }) => id)
  const { data, isError } = api.useOverTrialsQuery(ids.length ? ids : skipToken, {
    refetchOnMountOrArgChange: true,
    pollingInterval: unread > 0 ? goesOn : 0,
  })
  const left = data?.unread ?? 1
  if (left !== unread && data) setUnread(left)
  if (isError) return <p>The other trials could not be read. Try it again in a moment.</p>
  if (!data) return <p role="status">Reading the other trials …</p>
  const rated = ratedPower(analysis.record.revision.unit)
  const placed = placedAmong(figures, analysis, data.trials, ofItsSize)
  return (
    <>
      {left > 0 && (
        <p className="text-quiet" role="status">
          {left} more {left === 1 ? 'trial is' : 'trials are'} still being read …
        </p>
      )}
      {rated && (
        <label className="flex items-baseline gap-2">
          <input
            type="checkbox"
            checked={ofItsSize}
            onChange={(event) => setOfItsSize(event.target.checked)}
          />
          <span>
            Only units of its size, {say(rated / 2, 'W')} to {say(rated * 2, 'W')}
          </span>
        </label>
      )}
      {placed.length ? (
        <FitTable
          className="max-w-4xl [&_td]:pl-4 [&_th]:pl-4 [&_th:first-child]:pl-0"
          aria-label="Beside the other trials"
        >
          <thead>
            <tr>
              <th>figure</th>
              <th className="right">here</th>
              <th>place</th>
              <th className="right">lowest of the others</th>
              <th className="right">middle</th>
              <th className="right">highest of the others</th>
            </tr>
          </thead>
          <tbody>
            {placed.map((one) => (
              <tr key={one.figured.id}>
                <th scope="row">{capital(one.figured.words)}</th>
                <td className="right whitespace-nowrap">
                  <Fig of={one.here} withUnit />
                </td>
                <td className="whitespace-nowrap">{sayPlace(one)}</td>
                <td className="right">
                  <Other of={one.lowest} />
                </td>
                <td className="right whitespace-nowrap">
                  <span className="figures">{sayFigure(one.middle)}</span>
                </td>
                <td className="right">
                  <Other of={one.highest} />
                </td>
              </tr>
            ))}
          </tbody>
        </FitTable>
      ) : (
        left === 0 && (
          <p>
            {ofItsSize ? 'No other trial of a unit of its size' : 'No other trial'} of this bench has these
            figures.
          </p>
        )
      )}
    </>
  )
}

function Other({
  of: { trial, title, figure },
}: {
  readonly of: ReturnType<typeof placedAmong>[number]['lowest']
}) {
  return (
    <>
      <span className="whitespace-nowrap">
        <span className="figures">{sayFigure(figure)}</span>
      </span>
      <Link className="plain-link text-quiet block text-[0.85rem]" to={`/trials/${trial}`}>
        {title}
      </Link>
    </>
  )
}
