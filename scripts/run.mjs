// Runs one of the commands in this folder, named first: what is missing is installed, then TypeScript takes over.
import { ensureDebian, ensurePackages } from './install.mjs'

const [name] = process.argv.splice(2, 1)
await ensurePackages()
ensureDebian('postgresql')
const { register } = await import('tsx/esm/api')
register()
await import(`./${name}.ts`)
