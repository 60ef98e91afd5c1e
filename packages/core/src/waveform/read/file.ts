import type { Recipe } from '@even-watt/contract'
import { mostSamples } from '../limits'
import { tooMany, Unreadable, type Columns } from './columns'
import { readJson } from './json'
import { readTable } from './table'
import { isWav, readWav } from './wav'

const sizes = { int16: 2, int32: 4, float32: 4 } as const

/**
 * Reads the bytes of a capture as what they are: WAV, JSON, a table of numbers; or raw numbers, where the recipe says so.
 * Throws `Unreadable` with a sentence that says what is taken.
 */
export function readFile(bytes: Uint8Array, raw?: Recipe['raw']): Columns {
  if (raw) return readRaw(bytes, raw)
  if (isWav(bytes)) return readWav(bytes)
  // A table may hold odd characters in its text; numbers they are not.
  if (bytes.subarray(0, 4096).includes(0))
    throw new Unreadable(
      'It is neither text nor WAV. If it holds bare numbers, say of what kind: 16 or 32 bits, or floats.',
    )
  const text = new TextDecoder().decode(bytes)
  return /^\s*[[{]/.test(text.slice(0, 100)) ? readJson(text) : readTable(text)
}

function readRaw(bytes: Uint8Array, raw: NonNullable<Recipe['raw']>): Columns {
  const size = sizes[raw]
  const count = Math.floor(bytes.length / size)
  if (count < 2) throw new Unreadable('It holds fewer than two numbers of this kind.')
  if (count > mostSamples) throw tooMany()
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  const read = {
    int16: (at: number) => view.getInt16(at, true),
    int32: (at: number) => view.getInt32(at, true),
    float32: (at: number) => view.getFloat32(at, true),
  }[raw]
  const values = Float64Array.from({ length: count }, (_, i) => read(i * size))
  if (!values.every(Number.isFinite))
    throw new Unreadable('Read as floats it holds what is no number: choose another kind.')
  return { columns: [{ heading: 'Raw', values }], notes: [] }
}
