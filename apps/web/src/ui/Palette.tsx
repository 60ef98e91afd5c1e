import {
  Combobox,
  ComboboxInput,
  ComboboxOption,
  ComboboxOptions,
  Dialog,
  DialogPanel,
} from '@headlessui/react'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { api } from '../api/api'
import { type Stage } from '../stage'

interface Place {
  readonly words: string
  readonly to: string
}

const fixed: Place[] = [
  { words: 'Bench', to: '/' },
  { words: 'Search everything', to: '/search' },
  { words: 'Units', to: '/units' },
  { words: 'Add a unit', to: '/units/new' },
  { words: 'Rigs', to: '/rigs' },
  { words: 'Add a rig', to: '/rigs/new' },
  { words: 'Loads', to: '/loads' },
  { words: 'Add a load', to: '/loads/new' },
  { words: 'Meters', to: '/meters' },
  { words: 'Add a meter', to: '/meters/new' },
  { words: 'Checklists', to: '/checklists' },
  { words: 'Compare', to: '/compare' },
  { words: 'Compare trials', to: '/compare/new' },
  { words: 'What would you need', to: '/needs' },
  { words: 'Check a published page', to: '/check' },
  { words: 'Sums: type what you know', to: '/sums' },
  { words: 'Cable and fuse', to: '/cable' },
  { words: 'Start a trial', to: '/trials/new' },
  { words: 'Import a trial', to: '/import' },
  { words: 'This bench: mains, currency, units', to: '/settings' },
  { words: 'What a use needs', to: '/settings/uses' },
  { words: 'Phone: let one in', to: '/phone' },
  { words: 'Method: how every figure is worked', to: '/method' },
]

interface Props {
  readonly stages: readonly Stage[]
  readonly onClose: () => void
}

/** Ctrl+K: any screen by a few letters of its name. */
export function Palette({ stages, onClose }: Props) {
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

/** Trials looked through: those worked on last. */
const mostTrials = 500

function Search({ stages, onClose }: Props) {
  const [query, setQuery] = useState('')
  const navigate = useNavigate()
  const { data: page } = api.useTrialsQuery({ by: 'lastAt', limit: mostTrials })
  const trials = page?.trials ?? []
  const { data: units = [] } = api.useUnitsQuery()
  const { data: rigs = [] } = api.useRigsQuery()
  const { data: meters = [] } = api.useMetersQuery()
  const places: Place[] = [
    ...fixed,
    ...trials.flatMap((trial) =>
      stages.flatMap(({ words, pages }) =>
        pages.map(({ path, tab }, i) => ({
          words: `${trial.title}: ${words.toLowerCase()}${i > 0 && tab !== undefined ? `, ${tab.toLowerCase()}` : ''}`,
          to: `/trials/${trial.id}/${path}`,
        })),
      ),
    ),
    ...units.map((unit) => ({ words: `Unit ${unit.name}`, to: `/units/${unit.id}` })),
    ...rigs.map((rig) => ({ words: `Rig ${rig.name}`, to: `/rigs/${rig.id}` })),
    ...meters.map((meter) => ({ words: `Meter ${meter.name}`, to: `/meters/${meter.id}` })),
  ]
  const parts = query.toLowerCase().split(/\s+/).filter(Boolean)
  const wanted = query.trim()
  const found = [
    ...places.filter((place) => parts.every((part) => place.words.toLowerCase().includes(part))).slice(0, 12),
    ...(wanted.length > 1
      ? [{ words: `Search everything for “${wanted}”`, to: `/search?q=${encodeURIComponent(wanted)}` }]
      : []),
  ]
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
        onChange={(event) => setQuery(event.target.value)}
      />
      <ComboboxOptions static className="max-h-[50vh] overflow-y-auto">
        {found.map((place) => (
          <ComboboxOption key={place.to} value={place} className="data-focus:bg-chosen px-3 py-1.5">
            {place.words}
          </ComboboxOption>
        ))}
        {found.length === 0 && <p className="text-quiet px-3 py-2">Nothing by that name.</p>}
      </ComboboxOptions>
    </Combobox>
  )
}
