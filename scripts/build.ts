import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { alone } from './install.mjs'

const root = fileURLToPath(new URL('..', import.meta.url))
const stamp = join(root, '.stamp', 'web')

export const webFolder = join(root, 'apps/web/dist')

const sources = ['apps/web', 'docs/method', 'packages/core', 'packages/contract', 'package-lock.json']

/** Files the interface is built from, in a fixed order. */
function filesBelow(path: string): string[] {
  if (!statSync(path).isDirectory()) return [path]
  return readdirSync(path, { withFileTypes: true })
    .filter((entry) => entry.name !== 'dist' && entry.name !== 'node_modules')
    .sort((a, b) => a.name.localeCompare(b.name))
    .flatMap((entry) => filesBelow(join(path, entry.name)))
}

/** Fingerprint of the sources by content: a fresh checkout has new dates, but not new code. */
function fingerprint(): string {
  const hash = createHash('sha256')
  for (const file of sources.flatMap((source) => filesBelow(join(root, source)))) {
    hash.update(file.slice(root.length)).update('\0').update(readFileSync(file)).update('\0')
  }
  return hash.digest('hex')
}

/** Builds the interface for production when its sources changed since the last build. */
export const buildWhenStale = (): Promise<void> => alone(build)

async function build(): Promise<void> {
  const wanted = fingerprint()
  if (
    existsSync(join(webFolder, 'index.html')) &&
    existsSync(stamp) &&
    readFileSync(stamp, 'utf8') === wanted
  )
    return
  console.log('Building the interface …')
  const vite = await import('vite')
  await vite.build({ root: join(root, 'apps/web'), logLevel: 'warn' })
  mkdirSync(join(root, '.stamp'), { recursive: true })
  writeFileSync(stamp, wanted)
}
