import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'

const root = fileURLToPath(new URL('..', import.meta.url))

interface Manifest {
  readonly dependencies?: Readonly<Record<string, string>>
  readonly devDependencies?: Readonly<Record<string, string>>
}

const manifests = [
  '.',
  ...['packages', 'apps'].flatMap((folder) =>
    readdirSync(join(root, folder)).map((name) => join(folder, name)),
  ),
]
const direct = new Set(
  manifests
    .map((folder) => JSON.parse(readFileSync(join(root, folder, 'package.json'), 'utf8')) as Manifest)
    .flatMap(({ dependencies, devDependencies }) => Object.keys({ ...dependencies, ...devDependencies }))
    .filter((name) => !name.startsWith('@even-watt/')),
)

describe('the list of packages', () => {
  it('says of each direct one what it is for, and of no other', () => {
    const told = readFileSync(join(root, 'docs/dependencies.md'), 'utf8')
      .split('\n')
      .flatMap((line) => /^\| ([@a-z][^|]*) \| ./.exec(line)?.[1]?.trim().split(', ') ?? [])
      .filter((name) => name !== 'package')
    expect(told.toSorted()).toEqual([...direct].sort())
  })
})
