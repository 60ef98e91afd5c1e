import { mkdirSync, writeFileSync } from 'node:fs'
import { demo } from '@even-watt/bench'

/** Writes the scenario, as the stand-in bench makes it, into demo/. */
const folder = new URL('../demo/', import.meta.url)
mkdirSync(folder, { recursive: true })
for (const [name, content] of Object.entries(demo())) {
  writeFileSync(new URL(`${name}.json`, folder), `${JSON.stringify(content, null, 1)}\n`)
}
