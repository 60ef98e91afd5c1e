import { partSize } from '@even-watt/contract'

/** Brings the bytes of a page to the server, part by part, under their hash. */
export async function sendBytes(sha256: string, bytes: Uint8Array<ArrayBuffer>): Promise<void> {
  for (let start = 0; start < bytes.length; start += partSize) {
    const part = bytes.subarray(start, start + partSize)
    const response = await fetch(`/api/blobs/${sha256}`, {
      method: 'PUT',
      body: part,
      headers: {
        'Content-Type': 'application/octet-stream',
        'Content-Range': `bytes ${start}-${start + part.length - 1}/${bytes.length}`,
      },
    })
    if (!response.ok) throw new Error('The page could not be brought to the server.')
  }
}
