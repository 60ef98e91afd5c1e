// The command to work by: the server starts anew with each change of it, and the interface reloads by itself.
import { spawn } from 'node:child_process'
import { join } from 'node:path'
import { ensureDebian, ensurePackages, root } from './install.mjs'

await ensurePackages()
if (!process.env.DATABASE_URL) ensureDebian('postgresql')

const run = (command, ...args) =>
  spawn(join(root, 'node_modules', '.bin', command), args, {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, EVEN_WATT_BUILD: 'no' },
  })
const children = [run('tsx', 'watch', '--clear-screen=false', 'scripts/start.ts'), run('vite', 'apps/web')]

// The terminal sends Ctrl-C to all of them; this one ends when they have.
let open = children.length
for (const child of children)
  child.on('close', () => {
    open -= 1
    for (const other of children) other.kill('SIGTERM')
    if (open === 0) process.exit(0)
  })
for (const signal of ['SIGINT', 'SIGTERM'])
  process.on(signal, () => {
    for (const child of children) child.kill('SIGTERM')
  })
