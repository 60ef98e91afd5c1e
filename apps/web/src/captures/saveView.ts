import { saveFile } from '../ui/saveFile'
import type { Slices } from './samples/pyramid'
import { coordinate } from '../ui/coordinate'

/** A view of a record: what it shows from one time to another, s, and how large it stands on the page. */
export interface RecordView extends Slices {
  readonly from: number
  readonly to: number
  readonly top: number
  readonly width: number
  readonly height: number
  readonly colour: string
  readonly ground: string
}

function asSvg({ low, high, top, width, height, colour, ground }: RecordView): string {
  const y = (value: number) => coordinate(height / 2 - (value / top) * (height / 2))
  const lines = Array.from(low, (least, i) => {
    const x = coordinate(((i + 0.5) / low.length) * width)
    return `M${x} ${y(least)}V${y(high[i] ?? least)}`
  })
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}"><rect width="100%" height="100%" fill="${ground}"/><path d="${lines.join('')}" fill="none" stroke="${colour}" stroke-width="1.2" stroke-linecap="round"/></svg>`
}

/** Lowest and highest of each slice with the time of its middle. */
const asCsv = ({ low, high, from, to }: RecordView): string =>
  ['time [s],lowest,highest']
    .concat(
      Array.from(
        low,
        (least, i) => `${from + ((i + 0.5) / low.length) * (to - from)},${least},${high[i] ?? least}`,
      ),
    )
    .join('\r\n')

/** Saves what is in view of a record. */
export function saveView(
  view: RecordView,
  canvas: HTMLCanvasElement,
  name: string,
  kind: 'svg' | 'png' | 'csv',
): void {
  if (kind === 'png') canvas.toBlob((png) => png && saveFile(png, `${name}.png`), 'image/png')
  else if (kind === 'svg') saveFile(new Blob([asSvg(view)], { type: 'image/svg+xml' }), `${name}.svg`)
  else saveFile(new Blob([asCsv(view)], { type: 'text/csv' }), `${name}.csv`)
}
