/** What one page tells the others of the same browser. */
interface News {
  /** Something was put into the browser's store. */
  readonly kept?: true
  /** Ids of entries that the server has. */
  readonly sent?: readonly string[]
  /** Id of an entry that was set aside and is no more. */
  readonly settled?: string
}

const channel = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('even-watt outbox')

export const tellTabs = (news: News): void => channel?.postMessage(news)

export function hearTabs(heard: (news: News) => void): void {
  channel?.addEventListener('message', ({ data }) => heard(data as News))
}
