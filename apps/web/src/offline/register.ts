import { keptOffline } from './kept'

/**
 * Lets the page open again without the server, where the browser allows it: over TLS that it trusts, or on this machine.
 * What the page had read before the worker was there is read once more, so that it is kept as well.
 */
export function openOffline(): void {
  const worker = navigator.serviceWorker
  if (!import.meta.env.PROD || !worker) return
  if (!worker.controller) worker.addEventListener('controllerchange', () => void readAgain(), { once: true })
  addEventListener('load', () => {
    // A browser that does not trust the certificate refuses; the page works all the same, while the server answers.
    worker.register('/serviceWorker.js').catch(() => undefined)
  })
}

async function readAgain(): Promise<void> {
  const read = performance.getEntriesByType('resource').map(({ name }) => new URL(name))
  const own = read.filter(({ origin, pathname }) => origin === location.origin && keptOffline(pathname))
  await Promise.allSettled([...new Set(own.map(({ href }) => href))].map((href) => fetch(href)))
}
