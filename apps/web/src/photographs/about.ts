import { placed, sayClaim } from '@even-watt/core'
import { isReading, type Entry, type Trial } from '@even-watt/contract'
import { useMemo } from 'react'
import { namesOf } from '../trials/naming'
import { useStages } from '../trials/stageContext'
import { useTrial } from '../trials/useTrial'

/** What a photograph can be of, by id, in words. */
export type Things = ReadonlyMap<string, string>

/** Promises, elements and batteries of every rig, meters, and what was captured. */
function thingsOf(
  trial: Trial,
  entries: readonly Entry[],
  nameEntry: (id: string) => string | undefined,
): Things {
  const things = new Map<string, string>()
  for (const { unit, rig, meters } of trial.revisions) {
    for (const claim of unit.claims) things.set(claim.id, `${claim.quantity}, ${sayClaim(claim)}`)
    for (const { element } of placed(rig)) things.set(element.id, element.name)
    for (const battery of rig.bank.strings.flat()) things.set(battery.id, battery.name)
    for (const meter of meters) things.set(meter.id, meter.name)
  }
  for (const entry of entries)
    if (isReading(entry) && entry.kind !== 'photograph' && entry.kind !== 'file')
      things.set(entry.id, nameEntry(entry.id) ?? entry.kind)
  return things
}

/** Everything of this trial that a photograph can be of. */
export function useThings(): Things {
  const { trial, entries } = useTrial()
  const stages = useStages()
  return useMemo(
    () => thingsOf(trial, entries, namesOf(trial, entries, stages).nameEntry),
    [trial, entries, stages],
  )
}
