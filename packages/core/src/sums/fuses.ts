import { fuseSizes } from '../conductors'
import { say } from '../figures'
import type { Sheet, SumRow } from './sheet'

/**
 * Usual fuses between what the load asks for and what the leads may carry, in a sentence; undefined while either is not known. Of
 * ranges the end counts that is less kind. Fuses and leads follow the local code (docs/method/conductors.md).
 */
export function sayFuses({ typed, follows }: Sheet): string | undefined {
  const row = (id: SumRow['id']) => [...typed, ...follows].find((one) => one.id === id)
  const [fuse, carries] = [row('fuse'), row('carries')]
  if (!fuse || !carries) return undefined
  const least = fuse.range?.[1] ?? fuse.x.value
  const most = carries.range?.[0] ?? carries.x.value
  const between = `${say(least, 'A')}, which the load asks for, and ${say(most, 'A')}, which the leads may carry`
  if (most < least)
    return `No fuse fits: ${between}, do not meet. Thicker leads, more of them, or fewer watts.`
  const sizes = fuseSizes.filter((size) => size >= least && size <= most)
  return sizes.length
    ? `Usual fuses between ${between}: ${sizes.map((size) => `${size} A`).join(', ')}.`
    : `No usual fuse lies between ${between}: take the next thicker leads.`
}
