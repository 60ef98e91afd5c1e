// The start command: what is missing is installed first, then TypeScript takes over in this same process.
import { ensureDebian, ensurePackages } from './install.mjs'

await ensurePackages()
if (!process.env.DATABASE_URL) ensureDebian('postgresql')
const { register } = await import('tsx/esm/api')
register()
await import('./start.ts')
