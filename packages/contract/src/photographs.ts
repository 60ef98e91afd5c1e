import * as z from 'zod/mini'
import { AttachedFile } from './files'
import { Id, instant, number, oneOf, text, whole } from './shared'

/** Bytes of one photograph as it is kept, at most: it was scaled before. */
const mostPhotograph = 16 * 2 ** 20
export const mostMarks = 40

/** What a photograph shows; the order is that of looking a unit over. */
export const photographed = [
  'label',
  'manual',
  'sales page',
  'box',
  'lead',
  'outside',
  'outlets and ports',
  'inside',
  'capacitors',
  'heat sink',
  'joints',
  'fuses',
  'fan',
  'board',
  'bank',
  'rig',
  'meter',
  'screen',
  'damage',
  'something else',
] as const
export const Photographed = oneOf('What it shows', photographed)
export type Photographed = z.infer<typeof Photographed>

/** A place on a photograph, as shares of its width and height from the upper left. */
const Place = z.object({
  x: number('Across', 0, 1, 'a share of the width, from 0 to 1'),
  y: number('Down', 0, 1, 'a share of the height, from 0 to 1'),
})
export type Place = z.infer<typeof Place>

export const markShapes = ['ring', 'arrow', 'words'] as const

/**
 * Drawn over a photograph, never into it: a ring fills the frame between two corners, an arrow points at the second
 * place, words stand at the first.
 */
export const Mark = z.object({
  shape: oneOf('Mark', markShapes),
  from: Place,
  to: Place,
  words: text('Words of the mark', 120),
  /** The promise that stands there. */
  about: z.optional(Id),
})
export type Mark = z.infer<typeof Mark>

/** A photograph: upright, scaled, without place, serial numbers or a smaller picture of itself. */
export const Photograph = z.extend(AttachedFile, {
  size: whole('Bytes of the photograph', 1, mostPhotograph),
  type: oneOf('Type of the photograph', ['image/jpeg', 'image/png', 'image/webp'] as const),
  /** Pixels. */
  width: whole('Width', 1, 20_000),
  height: whole('Height', 1, 20_000),
  shows: z.optional(Photographed),
  /** In words, for those who do not see it. */
  alt: text('What is seen', 500),
  marks: z.array(Mark).check(z.maxLength(mostMarks, `Marks: ${mostMarks} at most.`)),
  /** When the file says it was made; it may have been taken before it came here. */
  takenAt: z.optional(instant('Photographed at')),
})
export type Photograph = z.infer<typeof Photograph>
