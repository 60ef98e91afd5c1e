import type { Checklist, EntryOf } from '@even-watt/contract'
import { sayTorque } from '../figures'

type Line = Checklist['lines'][number]

/** How far from the torque asked for a terminal may be tightened: what a click wrench is trusted to. */
const torqueBand = 0.1

export interface WorkedLine {
  readonly line: Line
  /** The last time it was worked on this rig. */
  readonly last: EntryOf<'checked'> | undefined
  /** What is wrong with how it was done, in a sentence. */
  readonly odd: string | undefined
}

export interface Worked {
  readonly lines: readonly WorkedLine[]
  readonly open: readonly Line[]
  /** In the order of the list: the first is where a fault was narrowed down to. */
  readonly wrong: readonly WorkedLine[]
}

/**
 * A checklist as it was worked on one rig: each line by the last entry that speaks of it. Entries of another rig count
 * for nothing, for what was tightened there may be loose here.
 */
export function worked(
  { id, lines }: Pick<Checklist, 'lines'> & { readonly id: string },
  checked: readonly EntryOf<'checked'>[],
  revision: number,
): Worked {
  const mine = checked.filter((entry) => entry.revision === revision && entry.reading.list === id)
  const all = lines.map((line): WorkedLine => {
    const last = mine.findLast(({ reading }) => reading.line === line.id)
    return { line, last, odd: last && oddTorque(last.reading) }
  })
  return {
    lines: all,
    open: all.filter(({ last }) => !last).map(({ line }) => line),
    wrong: all.filter(({ last }) => last?.reading.found === 'wrong'),
  }
}

/**
 * Where a fault was narrowed down to: the first line that was found wrong, as far as the lines before it were worked.
 * Undefined: nothing was found wrong.
 */
export function sayNarrowed({ lines, wrong: [first] }: Worked): string | undefined {
  if (!first?.last) return undefined
  const { note } = first.last.reading
  const before = lines.slice(0, lines.indexOf(first)).filter(({ last }) => !last)
  return `${first.line.words}${note ? `: ${note}` : ''}. ${
    before.length
      ? `Not worked before it: ${before.map(({ line }) => line.words).join(', ')}; the fault may lie there.`
      : 'What stands before it in the list is in order; look here first.'
  }`
}

function oddTorque({ torque, applied, found }: EntryOf<'checked'>['reading']): string | undefined {
  if (torque === undefined || found !== 'done') return undefined
  if (applied === undefined) return 'What was applied is not said.'
  if (Math.abs(applied - torque) <= torqueBand * torque * (1 + 1e-9)) return undefined
  const [way, harm] =
    applied < torque
      ? ['less', 'a loose joint warms']
      : ['more', 'a thread or a post that is overtightened gives way']
  return `${sayTorque(applied)} was applied, ${way} than the ${sayTorque(torque)} asked for: ${harm}.`
}
