import type { AttachedFile } from '@even-watt/contract'
import { store } from '../store'
import { outboxSlice } from './slice'
import { forgetBytes, keepBytes, readBytes } from './storage'

const { sending } = outboxSlice.actions

/** As the contract has it; written here again, for who sends loads no schema. */
const partSize = 2 ** 20

/** Bytes of this page, for a browser that keeps nothing. */
const here = new Map<string, Blob>()

/** Keeps the bytes of a file until the server has them. */
export async function holdBytes(sha256: string, bytes: Blob): Promise<void> {
  here.set(sha256, bytes)
  await keepBytes(sha256, bytes)
}

export async function dropBytes(sha256: string): Promise<void> {
  here.delete(sha256)
  await forgetBytes(sha256)
}

/** The bytes of a file that still waits here to be sent. */
const kept = async (sha256: string): Promise<Blob | undefined> =>
  here.get(sha256) ?? (await readBytes(sha256).catch(() => undefined))

const partsOf = (size: number) => Math.ceil(size / partSize)

/** Sends the parts that the server does not have yet; resolves with its answer when one fails. */
export async function sendBytes({ sha256, size, name }: AttachedFile): Promise<Response | undefined> {
  const address = `/api/blobs/${sha256}`
  const asked = await fetch(`${address}/state`)
  if (!asked.ok) return asked
  const state = (await asked.json()) as { whole: boolean; parts: number[] }
  if (state.whole) return undefined
  const bytes = await kept(sha256)
  // Neither here nor there: the entry itself is refused, in a sentence.
  if (!bytes) return undefined
  const have = new Set(state.parts)
  for (let number = 0; number < partsOf(size); number++) {
    store.dispatch(sending({ name, share: number / partsOf(size) }))
    if (have.has(number)) continue
    const from = number * partSize
    const part = bytes.slice(from, from + partSize)
    const answer = await fetch(address, {
      method: 'PUT',
      body: part,
      headers: {
        'Content-Type': 'application/octet-stream',
        'Content-Range': `bytes ${from}-${from + part.size - 1}/${size}`,
      },
    })
    if (!answer.ok) return answer
  }
  store.dispatch(sending(undefined))
  return undefined
}

/** The bytes of a file, from this browser while it still waits to be sent, else from the server. */
export async function bytesOf(sha256: string): Promise<ArrayBuffer> {
  const bytes = await kept(sha256)
  if (bytes) return bytes.arrayBuffer()
  const answer = await fetch(`/api/blobs/${sha256}`)
  if (!answer.ok) throw new Error('Its bytes are not here: the server does not give them.')
  return answer.arrayBuffer()
}

/** Some bytes of a long file, from where they are; fewer where it ends. */
export async function rangeOf(sha256: string, from: number, length: number): Promise<Uint8Array> {
  if (length <= 0) return new Uint8Array(0)
  const bytes = await kept(sha256)
  if (bytes) return new Uint8Array(await bytes.slice(from, from + length).arrayBuffer())
  const answer = await fetch(`/api/blobs/${sha256}`, {
    headers: { Range: `bytes=${from}-${from + length - 1}` },
  })
  if (!answer.ok) throw new Error('Its bytes are not here: the server does not give them.')
  const given = new Uint8Array(await answer.arrayBuffer())
  // A file that is handed over whole: its range is cut out here.
  return answer.status === 200 ? given.subarray(from, from + length) : given
}
