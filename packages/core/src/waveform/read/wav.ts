import { mostSamples } from '../limits'
import { tooMany, Unreadable, type Columns } from './columns'

type Reader = (view: DataView, at: number) => number

const integer: Readonly<Record<number, Reader>> = {
  8: (view, at) => (view.getUint8(at) - 128) / 128,
  16: (view, at) => view.getInt16(at, true) / 2 ** 15,
  24: (view, at) => ((view.getInt8(at + 2) << 16) | view.getUint16(at, true)) / 2 ** 23,
  32: (view, at) => view.getInt32(at, true) / 2 ** 31,
}
const floating: Readonly<Record<number, Reader>> = {
  32: (view, at) => view.getFloat32(at, true),
  64: (view, at) => view.getFloat64(at, true),
}

const nameAt = (view: DataView, at: number) =>
  String.fromCharCode(...[0, 1, 2, 3].map((i) => view.getUint8(at + i)))

export const isWav = (bytes: Uint8Array): boolean =>
  bytes.length > 12 && nameAt(new DataView(bytes.buffer, bytes.byteOffset), 0) === 'RIFF'

/**
 * Reads a WAV file of 8 to 32 bit integers or floats, as shares of full scale. A file that was cut short gives what it holds,
 * and says so; chunks that are not known are passed over.
 */
export function readWav(bytes: Uint8Array): Columns {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  let format: { kind: number; channels: number; rate: number; bits: number } | undefined
  for (let at = 12; at + 8 <= view.byteLength;) {
    const [name, size] = [nameAt(view, at), view.getUint32(at + 4, true)]
    const body = at + 8
    if (name === 'fmt ' && body + 16 <= view.byteLength) {
      const kind = view.getUint16(body, true)
      format = {
        // The extensible form names the true kind further on.
        kind: kind === 0xfffe && body + 26 <= view.byteLength ? view.getUint16(body + 24, true) : kind,
        channels: view.getUint16(body + 2, true),
        rate: view.getUint32(body + 4, true),
        bits: view.getUint16(body + 14, true),
      }
    }
    if (name === 'data' && format) return samplesOf(view, body, size, format)
    at = body + size + (size % 2)
  }
  throw new Unreadable('This WAV file ends before its samples begin.')
}

function samplesOf(
  view: DataView,
  body: number,
  size: number,
  { kind, channels, rate, bits }: { kind: number; channels: number; rate: number; bits: number },
): Columns {
  const read = (kind === 3 ? floating : kind === 1 ? integer : {})[bits]
  if (!read || !channels || !rate)
    throw new Unreadable(
      `A WAV file of this kind is not read: 8, 16, 24 or 32 bits are, as integers or floats.`,
    )
  const frame = (channels * bits) / 8
  const frames = Math.floor(Math.min(size, view.byteLength - body) / frame)
  if (frames > mostSamples) throw tooMany()
  if (frames < 2) throw new Unreadable('This WAV file holds no samples.')
  const columns = Array.from({ length: Math.min(channels, 8) }, (_, channel) => ({
    heading: channels === 1 ? 'Sound' : `Sound, channel ${channel + 1}`,
    values: Float64Array.from({ length: frames }, (_, i) => {
      const value = read(view, body + i * frame + (channel * bits) / 8)
      return Number.isFinite(value) ? value : 0
    }),
  }))
  const cut = size > view.byteLength - body && size !== 0xffffffff
  return {
    columns,
    rate,
    ofFullScale: true,
    notes: cut ? [`The file was cut short: it holds ${frames} of ${Math.floor(size / frame)} samples.`] : [],
  }
}
