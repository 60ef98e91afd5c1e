import type { Picture, Point } from '@even-watt/core/waveform/index'

/** Longer sides are made smaller: finer than a trace is thick nothing is gained. */
const longest = 1400

export interface Pixels {
  readonly picture: Picture
  readonly image: ImageData
  readonly colourAt: (spot: Point) => readonly [number, number, number]
  /** Where the trace most likely is: what differs most from the rest, in the middle of the picture. */
  readonly likely: Point
}

function standsOut({ data, width, height }: Picture): Point {
  const spots: { x: number; y: number; colour: readonly number[] }[] = []
  for (let y = Math.round(0.2 * height); y < 0.8 * height; y += 2)
    for (let x = Math.round(0.2 * width); x < 0.8 * width; x += 2)
      spots.push({ x, y, colour: [0, 1, 2].map((part) => data[4 * (y * width + x) + part] ?? 0) })
  const mean = [0, 1, 2].map(
    (part) => spots.reduce((sum, { colour }) => sum + (colour[part] ?? 0), 0) / spots.length,
  )
  const off = (colour: readonly number[]) =>
    Math.hypot(...colour.map((value, part) => value - (mean[part] ?? 0)))
  return spots.reduce((most, spot) => (off(spot.colour) > off(most.colour) ? spot : most))
}

/** The pixels of a picture, or why it is none. */
export async function pixelsOf(file: File): Promise<Pixels | { why: string }> {
  let bitmap: ImageBitmap
  try {
    bitmap = await createImageBitmap(file)
  } catch {
    return { why: `${file.name} is no picture that this browser can show: PNG, JPEG and WebP are taken.` }
  }
  const scale = Math.min(1, longest / Math.max(bitmap.width, bitmap.height))
  const [width, height] = [Math.round(bitmap.width * scale), Math.round(bitmap.height * scale)]
  const canvas = document.createElement('canvas')
  canvas.width = width
  canvas.height = height
  const ground = canvas.getContext('2d')
  if (!ground || width < 20 || height < 20) return { why: `${file.name} is too small to see a wave in it.` }
  ground.drawImage(bitmap, 0, 0, width, height)
  bitmap.close()
  const image = ground.getImageData(0, 0, width, height)
  const { data } = image
  return {
    image,
    picture: { data, width, height },
    likely: standsOut({ data, width, height }),
    colourAt: ({ x, y }) => {
      const at = (dx: number, dy: number) => {
        const [px, py] = [Math.round(x) + dx, Math.round(y) + dy]
        const inside = px >= 0 && py >= 0 && px < width && py < height
        return inside ? [0, 1, 2].map((part) => data[4 * (py * width + px) + part] ?? 0) : undefined
      }
      const middle = at(0, 0) ?? [0, 0, 0]
      // One pixel may be a speck; of those around it only the like ones are of the trace.
      const like = [-1, 0, 1]
        .flatMap((dy) => [-1, 0, 1].flatMap((dx) => [at(dx, dy) ?? []]))
        .filter((one) => one.length && Math.hypot(...one.map((v, part) => v - (middle[part] ?? 0))) < 60)
      const mean = (part: number) => like.reduce((sum, one) => sum + (one[part] ?? 0), 0) / like.length
      return [mean(0), mean(1), mean(2)]
    },
  }
}
