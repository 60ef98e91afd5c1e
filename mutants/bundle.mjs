/** Puts every test that may tell a verdict into one file with the core: it is loaded once for each mutant. */
import { readdirSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { build } from 'esbuild'
import { bundled } from './bundled.mjs'

const core = fileURLToPath(new URL('../packages/core/src/', import.meta.url))
const fewer = fileURLToPath(new URL('fewerDraws.mjs', import.meta.url))
const judging =
  /^((attribution|blame|captures|charging|court|endurance|evidence|facts|ladder|limits|modes|motors|needs|noLoad|ports|suits)\/.*|[^/]*)\.test\.ts$/
/** Counts work and decides nothing, or reads all of the demo. */
const long = /^(growth|view|evidence\/bars|ladder\/properties)/

const files = readdirSync(core, { recursive: true })
  .filter((name) => judging.test(name) && !long.test(name))
  .sort()

await build({
  stdin: {
    contents: files
      .map((name) => `describe(${JSON.stringify(name)}, () => void require(${JSON.stringify(`./${name}`)}))`)
      .join('\n'),
    resolveDir: core,
  },
  bundle: true,
  plugins: [
    {
      name: 'fewer draws',
      setup: ({ onResolve }) =>
        onResolve({ filter: /^fast-check$/ }, ({ importer }) =>
          importer === fewer ? undefined : { path: fewer },
        ),
    },
  ],
  platform: 'node',
  target: 'node20',
  outfile: bundled(),
  logLevel: 'warning',
})
