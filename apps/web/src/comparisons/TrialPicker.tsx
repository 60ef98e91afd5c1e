import type { TrialLine } from '@even-watt/contract'
import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/react'
import { useDeferredValue, useId, useState } from 'react'
import { api } from '../api/api'

const offered = 8

interface Props {
  readonly label: string
  readonly onPick: (line: TrialLine) => void
}

/** A trial by a few letters of its title, unit, rig or initials: the server looks, so that none is left out. */
export function TrialPicker({ label, onPick }: Props) {
  const [typed, setTyped] = useState('')
  const search = useDeferredValue(typed.trim())
  // Only what was found by what stands in the field is offered, or Enter would take one of before.
  const { currentData } = api.useTrialsQuery({ ...(search ? { search } : {}), by: 'lastAt', limit: offered })
  const found = search === typed.trim() ? currentData?.trials : undefined
  const id = useId()
  return (
    <Combobox<TrialLine | null>
      immediate
      value={null}
      onChange={(line) => {
        if (!line) return
        setTyped('')
        onPick(line)
      }}
    >
      <div className="relative">
        <label htmlFor={id} className="text-quiet block text-[0.85rem] font-semibold">
          {label}
        </label>
        <ComboboxInput
          id={id}
          className="input w-full"
          placeholder="a trial, by its title or unit"
          displayValue={() => typed}
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
        <ComboboxOptions className="absolute z-20 max-h-80 w-full overflow-y-auto border border-ink bg-raised empty:hidden">
          {found?.map((line) => (
            <ComboboxOption
              key={line.id}
              value={line}
              className="cursor-pointer px-3 py-1 data-focus:bg-chosen"
            >
              <span className="font-semibold">{line.title}</span>
              <span className="block text-[0.85rem]">
                {line.unit} on {line.rig}, {line.revisions === 1 ? 'one rig' : `${line.revisions} rigs`}
              </span>
            </ComboboxOption>
          ))}
        </ComboboxOptions>
        {found?.length === 0 && search && <p className="text-quiet">No trial has “{search}”.</p>}
      </div>
    </Combobox>
  )
}
