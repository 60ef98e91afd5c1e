import { fileOf } from '@even-watt/contract'
import { api, problemOf } from '../api/api'
import { store } from '../store'
import { outboxSlice, type SetAside, type Unsent } from './slice'
import { dropBytes, holdBytes, sendBytes } from './bytes'
import { forget, forgetAside, keep, keepAgain, keepAside, readKept, StorageFailure } from './storage'
import { hearTabs, tellTabs } from './tabs'

const {
  restored,
  captured,
  acknowledged,
  serverAway,
  setAside,
  settled,
  keepsNothing,
  sending: fileSent,
} = outboxSlice.actions
const batch = 200
const retryAfter = 2000

let sending: Promise<void> | undefined
let retry: ReturnType<typeof setTimeout> | undefined

/** Does something with the browser's own store; where that fails it is said, and the work goes on without. */
async function inBrowser<T>(work: () => Promise<T>): Promise<T | undefined> {
  try {
    const result = await work()
    if (store.getState().outbox.keepsNothing !== undefined) store.dispatch(keepsNothing(undefined))
    return result
  } catch (error) {
    if (!(error instanceof StorageFailure)) throw error
    store.dispatch(keepsNothing(error.message))
    return undefined
  }
}

/**
 * Takes entries over: into the browser's own store and to the server, in order, at the same time, so that neither waits
 * for the other. Ids are made here, so sending again after a lost answer does not double anything. Resolves when they
 * are kept, here or at the server.
 */
export async function post(items: readonly Unsent[]): Promise<void> {
  store.dispatch(captured(items))
  const sent = flush()
  const kept = await inBrowser(async () => {
    await keep(items)
    return true
  })
  if (!kept) await sent
  else tellTabs({ kept: true })
  // Acknowledged before it was kept: what is kept now would be sent once more, which is harmless but idle.
  const waiting = new Set(store.getState().outbox.unsent.map(({ entry }) => entry.id))
  const done = items.map(({ entry }) => entry.id).filter((id) => !waiting.has(id))
  if (kept && done.length) await inBrowser(() => forget(done))
}

const restore = async () => {
  const kept = await inBrowser(readKept)
  if (kept) store.dispatch(restored(kept))
}

/** Reads what an earlier visit left unsent, and sends it. */
export async function startOutbox(): Promise<void> {
  await restore()
  addEventListener('online', () => void flush())
  hearTabs((news) => {
    if (news.kept) void restore().then(flush)
    if (news.sent) store.dispatch(acknowledged(news.sent))
    if (news.settled !== undefined) store.dispatch(settled(news.settled))
  })
  void flush()
}

/** Sends what waits. One sender at a time; another tab may send the same, which is harmless. */
export function flush(): Promise<void> {
  sending ??= send().finally(() => {
    sending = undefined
  })
  return sending
}

/** Answers that speak of what was sent, not of the way to the server: sending it again would not help. */
const refusals: readonly number[] = [400, 404, 409, 413, 422]

/** The first entries that wait, of one trial. */
function nextRun(most: number): Unsent[] {
  const { unsent } = store.getState().outbox
  const run = unsent.slice(0, most)
  const other = run.findIndex(({ trial }) => trial !== run[0]?.trial)
  return other < 0 ? run : run.slice(0, other)
}

async function send(): Promise<void> {
  clearTimeout(retry)
  // After a refusal one by one, so that one bad entry does not hold up the good ones sent with it.
  let singly = 0
  for (;;) {
    const run = nextRun(singly > 0 ? 1 : batch)
    const [first] = run
    if (!first) return
    const entries = run.map(({ entry }) => entry)
    if (!(await bytesSent(run))) {
      waitForServer()
      return
    }
    const result = await store.dispatch(api.endpoints.sendEntries.initiate({ trial: first.trial, entries }))
    if (!result.error) {
      singly -= entries.length
      await taken(first.trial, entries)
      continue
    }
    const problem = problemOf(result.error)
    if (!refusals.includes(problem.status)) {
      waitForServer()
      return
    }
    if (run.length > 1) {
      singly = run.length
      continue
    }
    singly -= 1
    const sentences = (problem.fields ?? []).slice(0, 3).map(({ message }) => message)
    const item: SetAside = { ...first, why: [problem.title, ...sentences].join(' ') }
    store.dispatch(setAside(item))
    await inBrowser(() => keepAside(item))
    tellTabs({ kept: true })
  }
}

function waitForServer(): void {
  store.dispatch(serverAway())
  retry = setTimeout(() => void flush(), retryAfter)
}

const filesIn = (run: readonly Unsent[]) => run.flatMap(({ entry }) => fileOf(entry) ?? [])

/**
 * Sends the bytes of the files that a run of entries attaches, before the entries. Bytes that the server does not take
 * are left: the entry is then refused, with a sentence.
 */
async function bytesSent(run: readonly Unsent[]): Promise<boolean> {
  for (const file of filesIn(run)) {
    const failed = await sendBytes(file).catch(() => 'away' as const)
    store.dispatch(fileSent(undefined))
    if (failed === 'away' || (failed && !refusals.includes(failed.status))) return false
  }
  return true
}

async function taken(trial: string, entries: Unsent['entry'][]): Promise<void> {
  const ids = entries.map((entry) => entry.id)
  store.dispatch(
    api.util.updateQueryData('entries', trial, (draft) => {
      const here = new Set(draft.entries.map((entry) => entry.id))
      draft.entries.push(...entries.filter((entry) => !here.has(entry.id)))
    }),
  )
  store.dispatch(acknowledged(ids))
  await inBrowser(() => forget(ids))
  for (const { sha256 } of filesIn(entries.map((entry) => ({ trial, entry }))))
    await inBrowser(() => dropBytes(sha256))
  tellTabs({ sent: ids })
}

/** Keeps the bytes of a file in the browser, to be sent before the entry that attaches it. */
export const postBytes = (sha256: string, bytes: Blob): Promise<unknown> =>
  inBrowser(() => holdBytes(sha256, bytes))

/** Sends one that was set aside once more; it is kept all the while. */
export async function sendAgain({ trial, entry }: SetAside): Promise<void> {
  await inBrowser(() => keepAgain({ trial, entry }))
  store.dispatch(settled(entry.id))
  store.dispatch(captured([{ trial, entry }]))
  await flush()
}

/** Drops one that was set aside: it was corrected, or saved elsewhere. */
export async function settle(id: string): Promise<void> {
  await inBrowser(() => forgetAside(id))
  store.dispatch(settled(id))
  tellTabs({ settled: id })
}
