// Plain JavaScript: it runs before anything is installed.
import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { createServer } from 'node:net'
import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'

export const root = fileURLToPath(new URL('..', import.meta.url))
const stamps = join(root, '.stamp')

/** Prints one sentence and ends. */
export function fail(sentence) {
  console.error(sentence)
  process.exit(1)
}

/**
 * Does work that two commands started at once must not do at the same time, such as installing into one folder. The
 * lock is a socket, which the system takes away with its holder, however that ends.
 */
export async function alone(work) {
  const name = `\0even-watt-install-${createHash('sha256').update(root).digest('hex').slice(0, 32)}`
  for (;;) {
    const lock = createServer()
    const held = await new Promise((resolve) => {
      lock.once('error', () => resolve(false))
      lock.listen(name, () => resolve(true))
    })
    if (held) {
      try {
        return await work()
      } finally {
        lock.close()
      }
    }
    await new Promise((resolve) => setTimeout(resolve, 500))
  }
}

/** Installs packages when they are missing or the lock file changed since. Works offline when nothing changed. */
export const ensurePackages = () => alone(installPackages)

function installPackages() {
  const [major, minor] = process.versions.node.split('.').map(Number)
  if (major < 20 || (major === 20 && minor < 19))
    fail(`Even Watt needs Node.js 20.19 or newer; this is ${process.version}.`)
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex')
  const stamp = join(stamps, 'packages')
  const current =
    existsSync(stamp) && readFileSync(stamp, 'utf8') === lock && existsSync(join(root, 'node_modules', 'tsx'))
  if (current) return
  console.log('Installing packages …')
  const done = spawnSync('npm', ['ci', '--ignore-scripts', '--no-audit', '--no-fund', '--loglevel=error'], {
    cwd: root,
    stdio: 'inherit',
  })
  if (done.status !== 0)
    fail('The packages could not be installed; the lines above say why. Is the registry reachable?')
  mkdirSync(stamps, { recursive: true })
  writeFileSync(stamp, lock)
}

const hasPostgres = () => {
  const folder = '/usr/lib/postgresql'
  return (
    existsSync(folder) &&
    readdirSync(folder).some((version) => existsSync(join(folder, version, 'bin', 'initdb')))
  )
}

const debian = {
  postgresql: hasPostgres,
  'chromium-headless-shell': () => existsSync('/usr/bin/chromium-headless-shell'),
}

/** Installs Debian's packages when missing and allowed; else one sentence with the command. */
export function ensureDebian(...names) {
  const missing = names.filter((name) => !debian[name]())
  if (!missing.length) return
  const command = `apt-get install -y ${missing.join(' ')}`
  if (process.getuid?.() !== 0 || !existsSync('/usr/bin/apt-get')) {
    fail(
      `${missing.join(' and ')} ${missing.length > 1 ? 'are' : 'is'} missing. Install with: sudo ${command}`,
    )
  }
  console.log(`Installing ${missing.join(', ')} …`)
  // Debian's own cluster is not wanted: Even Watt runs a private one.
  const quiet = {
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
  }
  spawnSync('apt-get', ['update', '-qq'], quiet)
  const done = spawnSync('apt-get', ['install', '-y', '-qq', '--no-install-recommends', ...missing], quiet)
  if (done.status !== 0 || missing.some((name) => !debian[name]()))
    fail(`${missing.join(' and ')} could not be installed. Try: ${command}`)
}
