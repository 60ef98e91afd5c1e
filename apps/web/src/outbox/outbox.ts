import type { Entry } from '@even-watt/contract'
import { api, problemOf } from '../api/api'
import { store } from '../store'
import { outboxSlice } from './slice'
import { forget, keep, readKept } from './storage'

const { restored, captured, acknowledged, serverAway, refused } = outboxSlice.actions
const batch = 200
const retryAfter = 2000

let sending: Promise<void> | undefined
let retry: ReturnType<typeof setTimeout> | undefined

/**
 * Captures entries: first into the browser's own storage, then to the server, in order. Ids are made here, so
 * sending again after a lost answer does not double anything.
 */
export async function capture(trial: string, entries: readonly Entry[]): Promise<void> {
  const items = entries.map((entry) => ({ trial, entry }))
  store.dispatch(captured(items))
  await keep(items)
  void flush()
}

/** Reads what an earlier visit left unsent, and sends it. */
export async function startOutbox(): Promise<void> {
  store.dispatch(restored(await readKept()))
  addEventListener('online', () => void flush())
  void flush()
}

/** Sends what waits. One sender at a time; another tab may send the same, which is harmless. */
export function flush(): Promise<void> {
  sending ??= send().finally(() => {
    sending = undefined
  })
  return sending
}

async function send(): Promise<void> {
  clearTimeout(retry)
  for (;;) {
    const { unsent } = store.getState().outbox
    const first = unsent[0]
    if (!first) return
    const run = unsent.slice(0, batch)
    const other = run.findIndex((item) => item.trial !== first.trial)
    const entries = (other < 0 ? run : run.slice(0, other)).map((item) => item.entry)
    const result = await store.dispatch(api.endpoints.sendEntries.initiate({ trial: first.trial, entries }))
    if (result.error) {
      const problem = problemOf(result.error)
      if (problem.status >= 400 && problem.status < 500 && problem.status !== 429) {
        const sentence = [
          problem.title,
          ...(problem.fields ?? []).slice(0, 3).map((field) => field.message),
        ].join(' ')
        store.dispatch(refused({ trial: first.trial, sentence }))
        return
      }
      store.dispatch(serverAway())
      retry = setTimeout(() => void flush(), retryAfter)
      return
    }
    const ids = entries.map((entry) => entry.id)
    store.dispatch(
      api.util.updateQueryData('entries', first.trial, (draft) => {
        const here = new Set(draft.map((entry) => entry.id))
        draft.push(...entries.filter((entry) => !here.has(entry.id)))
      }),
    )
    store.dispatch(acknowledged(ids))
    await forget(ids)
  }
}

/** Gives up entries the server refused: they are handed back as text, then dropped here. */
export async function dropRefused(trial: string): Promise<string> {
  const items = store.getState().outbox.unsent.filter((item) => item.trial === trial)
  const ids = items.map((item) => item.entry.id)
  await forget(ids)
  store.dispatch(acknowledged(ids))
  void flush()
  return JSON.stringify(
    items.map((item) => item.entry),
    null,
    1,
  )
}
