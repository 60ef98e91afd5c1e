/** Numbers of one column of a chunk, packed: docs/method/logs.md says how, byte by byte. */

/** Decimals that are tried before numbers are kept as they are. */
const mostDecimals = 7
const whole = 255
/** A step between two such numbers, with its sign in the last bit, is still exact. */
const exact = 2 ** 51

/** Bytes that grow as they are written. */
export class Writing {
  private bytes = new Uint8Array(1 << 16)
  private view = new DataView(this.bytes.buffer)
  length = 0

  private room(more: number): void {
    if (this.length + more <= this.bytes.length) return
    const larger = new Uint8Array(Math.max(2 * this.bytes.length, this.length + more))
    larger.set(this.bytes.subarray(0, this.length))
    this.bytes = larger
    this.view = new DataView(larger.buffer)
  }

  byte(x: number): void {
    this.room(1)
    this.bytes[this.length++] = x
  }

  double(x: number): void {
    this.room(8)
    this.view.setFloat64(this.length, x, true)
    this.length += 8
  }

  single(x: number): void {
    this.room(4)
    this.view.setFloat32(this.length, x, true)
    this.length += 4
  }

  /** A whole number from 0 up, seven bits a byte. */
  varint(x: number): void {
    this.room(8)
    let rest = x
    while (rest >= 128) {
      const low = rest % 128
      this.bytes[this.length++] = low | 128
      rest = (rest - low) / 128
    }
    this.bytes[this.length++] = rest
  }

  all(more: Uint8Array): void {
    this.room(more.length)
    this.bytes.set(more, this.length)
    this.length += more.length
  }

  done(): Uint8Array<ArrayBuffer> {
    return this.bytes.slice(0, this.length)
  }
}

export class Reading {
  private readonly view: DataView
  at = 0
  constructor(private readonly bytes: Uint8Array) {
    this.view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  }

  byte(): number {
    return this.bytes[this.at++] ?? 0
  }

  double(): number {
    this.at += 8
    return this.view.getFloat64(this.at - 8, true)
  }

  single(): number {
    this.at += 4
    return this.view.getFloat32(this.at - 4, true)
  }

  varint(): number {
    let [x, place] = [0, 1]
    for (let i = 0; i < 8; i++) {
      const byte = this.byte()
      x += (byte & 127) * place
      if (byte < 128) break
      place *= 128
    }
    return x
  }
}

const zigzag = (x: number) => (x < 0 ? -2 * x - 1 : 2 * x)
const unzigzag = (x: number) => (x % 2 ? -(x + 1) / 2 : x / 2)

const tens = Array.from({ length: mostDecimals + 1 }, (_, i) => 10 ** i)

/** Decimals that hold every value to its last digit; undefined: they do not. */
function decimalsOf(values: Float64Array, count: number): number | undefined {
  let decimals = 0
  for (let i = 0; i < count; i++) {
    const x = values[i] as number
    if (Number.isNaN(x)) continue
    for (;;) {
      const ten = tens[decimals] as number
      const scaled = Math.round(x * ten)
      if (Math.abs(scaled) < exact && scaled / ten === x) break
      if (++decimals > mostDecimals) return undefined
    }
  }
  return decimals
}

/**
 * Writes `count` numbers, NaN among them: differences of whole numbers after so many decimals, or else as they are.
 * Either way −0 comes back as 0: no meter tells them apart.
 */
export function writeColumn(to: Writing, values: Float64Array, count: number): void {
  const decimals = decimalsOf(values, count)
  if (decimals === undefined) {
    to.byte(whole)
    for (let i = 0; i < count; i++) to.double((values[i] as number) + 0)
    return
  }
  to.byte(decimals)
  const ten = tens[decimals] as number
  let before = 0
  for (let i = 0; i < count; i++) {
    const x = values[i] as number
    if (Number.isNaN(x)) {
      to.varint(0)
      continue
    }
    const scaled = Math.round(x * ten)
    to.varint(zigzag(scaled - before) + 1)
    before = scaled
  }
}

export function readColumn(from: Reading, count: number): Float64Array {
  const values = new Float64Array(count)
  const decimals = from.byte()
  if (decimals === whole) {
    for (let i = 0; i < count; i++) values[i] = from.double()
    return values
  }
  const ten = tens[Math.min(decimals, mostDecimals)] as number
  let before = 0
  for (let i = 0; i < count; i++) {
    const code = from.varint()
    if (code === 0) {
      values[i] = NaN
      continue
    }
    before += unzigzag(code - 1)
    values[i] = before / ten
  }
  return values
}
