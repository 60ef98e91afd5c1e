import type { PickedPart } from '@even-watt/contract'
import { api } from '../api/api'
import { useThings } from '../photographs/about'
import { sayPhotograph } from '../photographs/sayPhotograph'
import { usePhotographs } from '../photographs/usePhotographs'
import { useTrial } from '../trials/useTrial'

/** Says what was picked for a report. */
export function useSayPicked(): (picked: PickedPart) => string {
  const photographs = usePhotographs(useTrial())
  const things = useThings()
  const { data: comparisons } = api.useComparisonsQuery()
  return (picked) => {
    if ('part' in picked) return `${picked.part}, rig ${picked.rig}`
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
