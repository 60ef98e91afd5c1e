import { useThings } from './about'
import { Picture } from './Picture'
import { sayPhotograph } from './sayPhotograph'
import type { PhotographEntry } from './usePhotographs'

/** Photographs with their words, for reading: on screen, on paper and in a published page. */
export function Figures({ photographs }: { photographs: readonly PhotographEntry[] }) {
  const things = useThings()
  return (
    <div className="grid grid-cols-1 gap-4 sm:grid-cols-2 print:grid-cols-2">
      {photographs.map((entry) => (
        <figure key={entry.id} className="min-w-0">
          <Picture entry={entry} alt={sayPhotograph(entry, things)} className="max-h-[26rem] w-full" />
          <figcaption className="mt-1">
            <strong>{sayPhotograph(entry, things)}.</strong> {entry.reading.note}
          </figcaption>
        </figure>
      ))}
    </div>
  )
}
