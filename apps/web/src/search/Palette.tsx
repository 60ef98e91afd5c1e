import {
  Combobox,
  ComboboxInput,
  ComboboxOption,
  ComboboxOptions,
  Dialog,
  DialogPanel,
} from '@headlessui/react'
import { useState } from 'react'
import { useLocation, useNavigate } from 'react-router'
import { rigFacts, unitFacts } from '@even-watt/core'
import { api } from '../api/api'
import { toldApart } from '../ui/toldApart'
import type { PaletteProps } from '../ui/Shell'
import { figurePlaces } from './figurePlaces'
import { holds, wordsIn } from './matching'
import { nearestTo } from './nearest'
import { fixedPlaces, type Place } from './screens'

/** Ctrl+K: any screen by a few letters of its name. */
export function Palette({ stages, onClose }: PaletteProps) {
  return (
    <Dialog open onClose={onClose} className="relative z-40">
      <div className="fixed inset-0 bg-ground/70" aria-hidden="true" />
      <div className="fixed inset-0 flex items-start justify-center p-4 pt-[12vh]">
        <DialogPanel className="w-full max-w-lg border border-ink bg-raised">
          <Search stages={stages} onClose={onClose} />
        </DialogPanel>
      </div>
    </Dialog>
  )
}

/** Documents of a kind, each by a name that tells it from the others. */
function placesOf<D extends { id: string; name: string; savedAt: string }>(
  what: string,
  all: readonly D[],
  facts: (one: D) => readonly string[],
  to: (id: string) => string,
): Place[] {
  const apart = toldApart(all, facts)
  return all.map(({ id, name }) => ({
    words: [`${what} ${name}`, apart.get(id)].filter(Boolean).join(', '),
    to: to(id),
  }))
}

/** Trials looked through: those worked on last. */
const mostTrials = 500

function Search({ stages, onClose }: PaletteProps) {
  const [query, setQuery] = useState('')
  const navigate = useNavigate()
  const { data: page } = api.useTrialsQuery({ by: 'lastAt', limit: mostTrials })
  const trials = page?.trials ?? []
  const { data: units = [] } = api.useUnitsQuery()
  const { data: rigs = [] } = api.useRigsQuery()
  const { data: meters = [] } = api.useMetersQuery()
  const places: Place[] = [
    ...fixedPlaces,
    ...trials.flatMap((trial) =>
      stages.flatMap(({ words, pages }) =>
        pages.map(({ path, tab }, i) => ({
          words: `${trial.title}: ${words.toLowerCase()}${i > 0 && tab !== undefined ? `, ${tab.toLowerCase()}` : ''}`,
          to: `/trials/${trial.id}/${path}`,
        })),
      ),
    ),
    ...placesOf('Unit', units, unitFacts, (id) => `/units/${id}/life`),
    ...placesOf('Rig', rigs, rigFacts, (id) => `/rigs/${id}`),
    ...meters.map((meter) => ({ words: `Meter ${meter.name}`, to: `/meters/${meter.id}` })),
  ]
  const wanted = query.trim()
  const parts = wordsIn(query)
  const { pathname } = useLocation()
  const here = /^\/trials\/([^/]+)\//.exec(pathname)?.[1]
  const trial = trials.find(({ id }) => id === here) ?? trials[0]
  const found = [
    ...places.filter((place) => holds(place, parts)).slice(0, 12),
    ...figurePlaces(wanted, trial).slice(0, 8),
    ...(wanted.length > 1
      ? [{ words: `Search everything for “${wanted}”`, to: `/search?q=${encodeURIComponent(wanted)}` }]
      : []),
  ]
  const nearest = found.length > 1 ? undefined : nearestTo(wanted, places)
  return (
    <Combobox<Place | null>
      value={null}
      onChange={(place) => {
        if (!place) return
        onClose()
        void navigate(place.to)
      }}
    >
      <ComboboxInput
        autoFocus
        aria-label="Go anywhere"
        placeholder="Where to?"
        className="w-full border-b border-rule bg-raised p-3 text-lg outline-none"
        value={query}
        onChange={(event) => setQuery(event.target.value)}
      />
      <ComboboxOptions static className="max-h-[50vh] overflow-y-auto">
        {found.map((place) => (
          <ComboboxOption
            key={`${place.to} ${place.words}`}
            value={place}
            className="data-focus:bg-chosen px-3 py-1.5"
          >
            {place.words}
          </ComboboxOption>
        ))}
        {nearest !== undefined && (
          <p className="text-quiet px-3 py-2">
            Nothing by that name. Nearest:{' '}
            <button type="button" className="plain-link" onClick={() => setQuery(nearest)}>
              {nearest}
            </button>
          </p>
        )}
      </ComboboxOptions>
    </Combobox>
  )
}
