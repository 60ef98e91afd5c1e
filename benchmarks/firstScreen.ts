import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { buildWhenStale, webFolder } from '../scripts/build'
import { say } from './report'

/** Script of the first screen, gzipped: what index.html asks for at once. */
export async function benchFirstScreen(): Promise<void> {
  await buildWhenStale()
  const page = readFileSync(join(webFolder, 'index.html'), 'utf8')
  const files = [...page.matchAll(/(?:src|href)="(\/[^"]+\.js)"/g)].flatMap(([, file]) =>
    file ? [file] : [],
  )
  const bytes = files.reduce((sum, file) => sum + gzipSync(readFileSync(join(webFolder, file))).length, 0)
  say('script of the first screen, gzipped', bytes / 1000, 'what is promised', 250, 'kB')
}
