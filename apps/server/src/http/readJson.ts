import { notWhole, ProblemError } from './problem'

/** Lists and objects within each other: what the product writes has about ten. */
const mostDepth = 64
/** Lists and objects in all: the largest trial has a million. */
const mostContainers = 3_000_000

const refused = (why: string) => new ProblemError(413, 'This JSON is not taken.', why)
const code = (letter: string) => letter.charCodeAt(0)
const [quote, escape, open, shut, openList, shutList] = ['"', '\\', '{', '}', '[', ']'].map(code)

/**
 * Refuses JSON that is far deeper, or has far more parts, than anything here: told from its bytes in one pass, before
 * memory and time are spent on making objects of it.
 */
export function refuseMonstrous(json: Uint8Array): void {
  let depth = 0
  let containers = 0
  let within = false
  for (let i = 0; i < json.length; i++) {
    const byte = json[i]
    if (within) {
      if (byte === escape) i++
      else if (byte === quote) within = false
    } else if (byte === quote) within = true
    else if (byte === open || byte === openList) {
      if (++depth > mostDepth) throw refused(`It is more than ${mostDepth} lists deep.`)
      if (++containers > mostContainers) throw refused('It has more than three million lists and objects.')
    } else if (byte === shut || byte === shutList) depth--
  }
}

/** What stands in JSON from a stranger; `what` names it where it is not the body itself. */
export function readJson(bytes: Uint8Array, what?: string): unknown {
  refuseMonstrous(bytes)
  try {
    return JSON.parse(Buffer.from(bytes.buffer, bytes.byteOffset, bytes.length).toString())
  } catch {
    throw notWhole(what)
  }
}
