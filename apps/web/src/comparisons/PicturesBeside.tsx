import { photographed } from '@even-watt/contract'
import type { Compared } from '@even-watt/core'
import { useState } from 'react'
import { Picture } from '../photographs/Picture'
import { sayPhotograph } from '../photographs/sayPhotograph'
import type { PhotographEntry } from '../photographs/usePhotographs'
import { Zoomed, type Zoom } from './Zoomed'

interface Props {
  readonly list: readonly Compared[]
  readonly photographs: ReadonlyMap<string, readonly PhotographEntry[]>
}

/** What was photographed of two or more, place by place, side by side; looking closer at one looks closer at all. */
export function PicturesBeside({ list, photographs }: Props) {
  const of = (one: Compared) => photographs.get(one.trial.id) ?? []
  const places = photographed
    .map((place) => ({
      place,
      pictures: list.flatMap((one) => {
        const entry = of(one).find(({ reading }) => reading.shows === place)
        return entry ? [{ name: one.name, entry }] : []
      }),
    }))
    .filter(({ pictures }) => new Set(pictures.map(({ entry }) => entry.id)).size > 1)
  if (!places.length) return null
  return (
    <section className="mt-5">
      <h2>Side by side</h2>
      {places.map(({ place, pictures }) => (
        <Row key={place} place={place} pictures={pictures} />
      ))}
    </section>
  )
}

interface RowProps {
  readonly place: string
  readonly pictures: readonly { readonly name: string; readonly entry: PhotographEntry }[]
}

const whole: Zoom = { factor: 1, x: 0.5, y: 0.5 }

function Row({ place, pictures }: RowProps) {
  const [zoom, setZoom] = useState(whole)
  return (
    <div className="mb-4">
      <div className="flex items-baseline gap-4">
        <h3 className="font-semibold">{place}</h3>
        <span className="no-print flex gap-3 text-[0.9rem]">
          <button
            type="button"
            className="plain-link"
            onClick={() => setZoom({ ...zoom, factor: Math.min(8, zoom.factor * 1.5) })}
          >
            Closer<span className="sr-only"> to the {place}</span>
          </button>
          <button
            type="button"
            className="plain-link"
            disabled={zoom.factor === 1}
            onClick={() => setZoom(whole)}
          >
            Whole<span className="sr-only"> {place}</span>
          </button>
        </span>
      </div>
      <div
        className="grid gap-4"
        style={{ gridTemplateColumns: `repeat(${Math.min(pictures.length, 4)}, minmax(0, 1fr))` }}
      >
        {pictures.map(({ name, entry }) => (
          <figure key={name} className="min-w-0">
            <Zoomed zoom={zoom} onZoom={setZoom} label={`${place} of ${name}`}>
              <Picture entry={entry} alt={sayPhotograph(entry)} className="w-full" />
            </Zoomed>
            <figcaption>
              <strong>{name}.</strong> {entry.reading.note}
            </figcaption>
          </figure>
        ))}
      </div>
    </div>
  )
}
