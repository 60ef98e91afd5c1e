import type { PickedPart } from '@even-watt/contract'
import { api } from '../api/api'
import { usePhotographs } from '../photographs/usePhotographs'
import { useStages } from '../trials/stageContext'
import { useTrial } from '../trials/useTrial'
import { useOtherTrials } from './useOtherTrials'
import { useSayPicked } from './useSayPicked'

/** Chooses a photograph, a kept comparison, or a chart, a table or a text of one rig, to put into the report by itself. */
export function PickPart({ onPick }: { onPick: (picked: PickedPart) => void }) {
  const state = useTrial()
  const photographs = usePhotographs(state)
  const { data: comparisons = [] } = api.useComparisonsQuery()
  const others = useOtherTrials(state)
  const say = useSayPicked()
  const parts = useStages()
    .flatMap(({ report = [] }) => report)
    .filter(({ place }) => place === 'rig')
  const groups: readonly (readonly [string, readonly PickedPart[]])[] = [
    ['Photographs', photographs.map(({ id }) => ({ photograph: id }))],
    ['Runs of other trials of it', others.map(({ id }) => ({ runs: id }))],
    ['Comparisons', comparisons.map(({ id }) => ({ comparison: id }))],
    ...state.trial.revisions.map(
      ({ number }) => [`Rig ${number}`, parts.map(({ words }) => ({ part: words, rig: number }))] as const,
    ),
  ]
  return (
    <select
      className="input w-auto max-w-full"
      aria-label="Add a photograph, comparison, chart or table"
      value=""
      onChange={({ target }) => {
        const picked = groups.flatMap(([, all]) => all).at(Number(target.value))
        if (target.value && picked) onPick(picked)
      }}
    >
      <option value="">Add a photograph, comparison, chart or table …</option>
      {groups.map(([title, all], i) => {
        const before = groups.slice(0, i).reduce((count, [, earlier]) => count + earlier.length, 0)
        return (
          all.length > 0 && (
            <optgroup key={title} label={title}>
              {all.map((picked, at) => (
                <option key={before + at} value={before + at}>
                  {'part' in picked ? picked.part : say(picked)}
                </option>
              ))}
            </optgroup>
          )
        )
      })}
    </select>
  )
}
