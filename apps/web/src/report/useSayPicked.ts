import type { PickedPart } from '@even-watt/contract'
import { api } from '../api/api'
import { useThings } from '../photographs/about'
import { sayPhotograph } from '../photographs/sayPhotograph'
import { usePhotographs } from '../photographs/usePhotographs'
import { useTrial } from '../trials/useTrial'
import { useOtherTrials } from './useOtherTrials'

/** Says what was picked for a report. */
export function useSayPicked(): (picked: PickedPart) => string {
  const things = useThings()
  const state = useTrial()
  const photographs = usePhotographs(state)
  const others = useOtherTrials(state)
  const { data: comparisons } = api.useComparisonsQuery()
  return (picked) => {
    if ('part' in picked) return `${picked.part}, rig ${picked.rig}`
    if ('runs' in picked) {
      const title = others.find(({ id }) => id === picked.runs)?.title
      return title === undefined ? 'runs of a trial that is not here any more' : `runs of “${title}”`
    }
    if ('comparison' in picked) {
      const name = comparisons?.find(({ id }) => id === picked.comparison)?.name
      return name === undefined ? 'a comparison that is not here any more' : `comparison “${name}”`
    }
    const photograph = photographs.find(({ id }) => id === picked.photograph)
    return photograph
      ? `photograph ${photographs.indexOf(photograph) + 1}, ${sayPhotograph(photograph, things)}`
      : 'a photograph that was taken back'
  }
}
