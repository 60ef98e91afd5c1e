import type { PickedPart } from '@even-watt/contract'
import { useThings } from '../photographs/about'
import { sayPhotograph } from '../photographs/sayPhotograph'
import { usePhotographs } from '../photographs/usePhotographs'
import { useTrial } from '../trials/useTrial'

/** Says what was picked for a report. */
export function useSayPicked(): (picked: PickedPart) => string {
  const photographs = usePhotographs(useTrial())
  const things = useThings()
  return (picked) => {
    if ('part' in picked) return `${picked.part}, rig ${picked.rig}`
    const photograph = photographs.find(({ id }) => id === picked.photograph)
    return photograph
      ? `photograph ${photographs.indexOf(photograph) + 1}, ${sayPhotograph(photograph, things)}`
      : 'a photograph that was taken back'
  }
}
