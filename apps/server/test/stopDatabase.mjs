import { rmSync } from 'node:fs'

export default async function stopDatabase() {
  const { cluster, folder } = globalThis.evenWattTest
  await cluster.stop()
  rmSync(folder, { recursive: true, force: true })
}
