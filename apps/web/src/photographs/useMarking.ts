import { mostMarks, type Mark, type Place } from '@even-watt/contract'
import { useState } from 'react'

export type Shape = Mark['shape']

const within = (share: number) => Math.min(1, Math.max(0, share))
const rounded = ({ x, y }: Place): Place => ({
  x: Math.round(within(x) * 10_000) / 10_000,
  y: Math.round(within(y) * 10_000) / 10_000,
})
const moved = ({ x, y }: Place, dx: number, dy: number): Place => rounded({ x: x + dx, y: y + dy })

/** Share of the picture below which a drag was a click, and what such a mark then spans. */
const tiny = 0.015
const usual = 0.08
/** Share of the picture that an arrow key moves. */
const step = 0.01

const steps: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-step, 0],
  ArrowRight: [step, 0],
  ArrowUp: [0, -step],
  ArrowDown: [0, step],
}

export interface Marking {
  readonly chosen: number | undefined
  readonly choose: (mark: number | undefined) => void
  /** Adds a mark and chooses it; a click makes one of usual size. */
  readonly draw: (shape: Shape, from: Place, to: Place) => void
  readonly put: (mark: number, change: Partial<Mark>) => void
  readonly remove: (mark: number) => void
  /** Moves the chosen mark, or with `end` its second place; whether the key was one that moves. */
  readonly moveBy: (key: string, end: boolean) => boolean
  readonly full: boolean
}

/** Marks of a photograph while they are drawn, by pointer or by keys. */
export function useMarking(marks: readonly Mark[], change: (marks: Mark[]) => void): Marking {
  const [chosen, choose] = useState<number>()
  const put = (at: number, patch: Partial<Mark>) =>
    change(marks.map((mark, i) => (i === at ? { ...mark, ...patch } : mark)))
  return {
    chosen: chosen !== undefined && chosen < marks.length ? chosen : undefined,
    choose,
    full: marks.length >= mostMarks,
    put,
    draw(shape, from, to) {
      if (marks.length >= mostMarks) return
      const clicked = Math.hypot(to.x - from.x, to.y - from.y) < tiny
      const [begin, end] = clicked
        ? shape === 'arrow'
          ? [moved(from, -usual, -usual), from]
          : [moved(from, -usual / 2, -usual / 2), moved(from, usual / 2, usual / 2)]
        : [from, to]
      const mark: Mark =
        shape === 'words'
          ? { shape, from: rounded(from), to: rounded(from), words: 'Words' }
          : { shape, from: rounded(begin), to: rounded(end) }
      change([...marks, mark])
      choose(marks.length)
    },
    remove(at) {
      change(marks.filter((_, i) => i !== at))
      choose(undefined)
    },
    moveBy(key, end) {
      const by = steps[key]
      const mark = chosen === undefined ? undefined : marks[chosen]
      if (!by || !mark || chosen === undefined) return false
      put(chosen, {
        ...(end ? {} : { from: moved(mark.from, ...by) }),
        to: moved(mark.to, ...by),
      })
      return true
    },
  }
}
