import type { Checklist } from '@even-watt/contract'
import { parseMeasure } from '../entry'
import { plain } from '../figures'

type Line = Checklist['lines'][number]

/** Longest line that is looked at for a torque. */
const longest = 300

/**
 * A line of a checklist as it is typed: "negative terminal 8 N·m" asks for a torque, in N·m or in lb·in and lb·ft; anything
 * else is words alone. Gives its words and its torque in N·m.
 */
export function readLine(typed: string): Omit<Line, 'id'> {
  const text = typed.trim().slice(0, longest)
  const [, words, torque] =
    /^(.{1,250}?)[,:]? {1,3}(\d[\d.,]{0,7} ?(?:n·m|nm|lb[·\- ](?:in|ft)))$/i.exec(text) ?? []
  if (words === undefined || torque === undefined) return { words: text }
  const read = parseMeasure(torque.replace(/lb ft$/i, 'lb·ft'), 'torque')
  return read.ok && read.value > 0 ? { words: words.trim(), torque: read.value } : { words: text }
}

/** The same line as it would be typed. */
export const sayLine = ({ words, torque }: Omit<Line, 'id'>): string =>
  torque === undefined ? words : `${words}, ${plain(torque)} N·m`

/**
 * Lines as typed, one under the other; empty ones are left out. A line whose words stand in the list already keeps its id,
 * so that what was ticked stays ticked.
 */
export function readLines(typed: string, before: readonly Line[], newId: () => string): Line[] {
  const left = [...before]
  return typed
    .split(/\r?\n/)
    .filter((line) => line.trim())
    .map((line) => {
      const read = readLine(line)
      const at = left.findIndex(({ words }) => words === read.words)
      const [same] = at < 0 ? [] : left.splice(at, 1)
      return { id: same?.id ?? newId(), ...read }
    })
}
