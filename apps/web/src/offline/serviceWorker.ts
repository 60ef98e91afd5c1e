import { clientsClaim } from 'workbox-core'
import type { WorkboxPlugin } from 'workbox-core/types'
import { ExpirationPlugin } from 'workbox-expiration'
import {
  addRoute,
  cleanupOutdatedCaches,
  precache,
  PrecacheFallbackPlugin,
  type PrecacheEntry,
} from 'workbox-precaching'
import { registerRoute } from 'workbox-routing'
import { NetworkFirst, NetworkOnly } from 'workbox-strategies'
import { keptOffline } from './kept'

/*
 * What was opened once opens again without the server. A page comes from the server while it answers, and with it all that
 * it names; only without it the page of this build is taken, with the files of this build. A newer worker waits until no
 * page of an older one is open. So the parts of two versions never meet.
 */

declare const self: { readonly __WB_MANIFEST: readonly PrecacheEntry[] }
interface Lasting extends Event {
  waitUntil(work: Promise<unknown>): void
}

const home = 'index.html'
/** s to wait for a server that may be out of reach; longer for data, for what was kept of them may be old. */
const patience = { page: 4, data: 8 }
const build = self.__WB_MANIFEST
/** Named after the build, so that no page reads what was kept for another. */
const kept = `kept ${build.find(({ url }) => url === home)?.revision ?? ''}`

/** A device that was shut out keeps nothing of what it was shown. */
const forgetting: WorkboxPlugin = {
  fetchDidSucceed: async ({ response }) => {
    if (response.status === 401) await caches.delete(kept)
    return response
  },
}

registerRoute(
  // A download may take its time, and no page may stand in for it.
  ({ request, url }) => request.mode === 'navigate' && !url.pathname.startsWith('/api/'),
  new NetworkOnly({
    networkTimeoutSeconds: patience.page,
    plugins: [forgetting, new PrecacheFallbackPlugin({ fallbackURL: home })],
  }),
)
registerRoute(
  ({ url }) => keptOffline(url.pathname),
  new NetworkFirst({
    cacheName: kept,
    networkTimeoutSeconds: patience.data,
    plugins: [forgetting, new ExpirationPlugin({ maxEntries: 300 })],
  }),
)
precache([...build])
addRoute()
cleanupOutdatedCaches()
clientsClaim()

addEventListener('activate', (event) => {
  const drop = async () => {
    const names = await caches.keys()
    const old = names.filter((name) => name.startsWith('kept ') && name !== kept)
    await Promise.all(old.map((name) => caches.delete(name)))
  }
  ;(event as Lasting).waitUntil(drop())
})
