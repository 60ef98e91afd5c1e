/** Something of a record that a film can be cut at. */
export interface Marked {
  /** An instant. */
  readonly at: string
  readonly words: string
}

const twoDigits = (n: number) => String(n).padStart(2, '0')

/** "04:05", from an hour on "1:04:05". */
function sayTime(seconds: number): string {
  const whole = Math.floor(seconds)
  const [h, m, s] = [Math.floor(whole / 3600), Math.floor(whole / 60) % 60, whole % 60]
  return h ? `${h}:${twoDigits(m)}:${twoDigits(s)}` : `${twoDigits(m)}:${twoDigits(s)}`
}

/**
 * Chapter marks of a film that began at an instant, a line each: "mm:ss words". What happened before it, or after its end
 * where that is known, is left out; of several within `apart` seconds, or of the same words one after the other, the first stands. The first line is at 00:00, as
 * players want it. See docs/method/editions.md.
 */
export function chapterMarks(
  events: readonly Marked[],
  { begins, ends, apart = 10 }: { begins: string; ends?: string; apart?: number },
): string[] {
  const start = Date.parse(begins)
  const end = ends === undefined ? Infinity : Date.parse(ends)
  const inside = events
    .map(({ at, words }) => ({ seconds: (Date.parse(at) - start) / 1000, words }))
    .filter(({ seconds }) => seconds >= 0 && 1000 * seconds + start <= end)
    .sort((a, b) => a.seconds - b.seconds)
  const marks: { seconds: number; words: string }[] = []
  for (const mark of inside) {
    const last = marks.at(-1)
    if (!last || (mark.seconds - last.seconds >= apart && mark.words !== last.words)) marks.push(mark)
  }
  const [first] = marks
  if (!first) return []
  const all = first.seconds >= 1 ? [{ seconds: 0, words: 'Beginning' }, ...marks] : marks
  return all.map(({ seconds, words }) => `${sayTime(seconds)} ${words}`)
}
