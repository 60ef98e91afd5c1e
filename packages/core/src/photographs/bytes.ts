/** Reading numbers and names out of the bytes of a file; outside it there is 0. */
export const byteAt = (bytes: Uint8Array, at: number): number => bytes[at] ?? 0
export const u16 = (bytes: Uint8Array, at: number): number => byteAt(bytes, at) * 256 + byteAt(bytes, at + 1)
export const u32 = (bytes: Uint8Array, at: number): number => u16(bytes, at) * 65_536 + u16(bytes, at + 2)
export const u24little = (bytes: Uint8Array, at: number): number =>
  byteAt(bytes, at) + byteAt(bytes, at + 1) * 256 + byteAt(bytes, at + 2) * 65_536
export const u32little = (bytes: Uint8Array, at: number): number =>
  u24little(bytes, at) + byteAt(bytes, at + 3) * 16_777_216
export const ascii = (bytes: Uint8Array, at: number, length: number): string =>
  String.fromCharCode(...bytes.subarray(at, at + length))

/** Several runs of bytes as one. */
export function joined(parts: readonly Uint8Array[]): Uint8Array<ArrayBuffer> {
  const whole = new Uint8Array(parts.reduce((sum, { length }) => sum + length, 0))
  let at = 0
  for (const part of parts) {
    whole.set(part, at)
    at += part.length
  }
  return whole
}
