/** ms of quiet after which what came in is read again, so that the worker keeps it. */
const rest = 3000
/** Longer records are kept as they were opened: reading them again at every pause would cost more than it gives. */
const most = 5000

const waiting = new Map<string, ReturnType<typeof setTimeout>>()

/** Has the worker keep a trial's entries as they are now, a moment after the last one came in. */
export function keepEntries(trial: string, count: number): void {
  if (!navigator.serviceWorker?.controller || count > most) return
  clearTimeout(waiting.get(trial))
  waiting.set(
    trial,
    setTimeout(() => void readPages(trial), rest),
  )
}

async function readPages(trial: string): Promise<void> {
  waiting.delete(trial)
  for (let cursor = '0'; ;) {
    const answer = await fetch(`/api/trials/${trial}/entries?after=${cursor}`).catch(() => undefined)
    if (!answer?.ok) return
    const page = (await answer.json()) as { cursor: string; more: boolean }
    if (!page.more) return
    ;({ cursor } = page)
  }
}
