import { mkdirSync, rmSync, writeFileSync } from 'node:fs'
import { demo } from '@even-watt/bench'

/** Writes the scenario, as the stand-in bench makes it, into demo/. */
const folder = new URL('../demo/', import.meta.url)
mkdirSync(folder, { recursive: true })
const { files, ...documents } = demo()
for (const [name, content] of Object.entries(documents)) {
  writeFileSync(new URL(`${name}.json`, folder), `${JSON.stringify(content, null, 1)}\n`)
}
const captures = new URL('files/', folder)
rmSync(captures, { recursive: true, force: true })
mkdirSync(captures)
for (const [sha256, bytes] of files) writeFileSync(new URL(sha256, captures), bytes)
