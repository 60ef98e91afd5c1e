import { fetchBaseQuery } from '@reduxjs/toolkit/query/react'

const plain = fetchBaseQuery({
  baseUrl: '/api',
  // A connection that hangs is a server that is away.
  timeout: 60_000,
  // Problem documents are JSON under another name.
  responseHandler: async (response) => {
    const text = await response.text()
    return text ? (JSON.parse(text) as unknown) : null
  },
})

/** Browsers go on with 64 KiB in all, and a character takes up to three bytes. */
const mostCharacters = 20_000
let underWay = 0

const isChange = (method: string | undefined) => method === 'PUT' || method === 'POST' || method === 'DELETE'

/** Asks the server; a change arrives there even if its page is left or closed before the answer. */
export const base: typeof plain = async (asked, ...rest) => {
  if (typeof asked === 'string' || !isChange(asked.method) || asked.body instanceof Blob)
    return plain(asked, ...rest)
  const characters = JSON.stringify(asked.body ?? null).length
  if (underWay + characters > mostCharacters) return plain(asked, ...rest)
  underWay += characters
  const answer = await plain({ ...asked, keepalive: true }, ...rest)
  underWay -= characters
  return answer
}
