import { readFileSync } from 'node:fs'
import type { Demo } from './scenario'

/**
 * The demo as it stands in the checkout (a test holds that it is what `demo` makes), for those who only need something to
 * work on: without captures and photographs, whose bytes would have to be stored first.
 */
export function writtenDemo(): Omit<Demo, 'files'> {
  const read = (name: keyof Demo): unknown =>
    JSON.parse(readFileSync(new URL(`../../../demo/${name}.json`, import.meta.url), 'utf8'))
  const trials = read('trials') as Demo['trials']
  return {
    units: read('units') as Demo['units'],
    meters: read('meters') as Demo['meters'],
    rigs: read('rigs') as Demo['rigs'],
    loads: read('loads') as Demo['loads'],
    comparisons: read('comparisons') as Demo['comparisons'],
    checklists: read('checklists') as Demo['checklists'],
    diaries: read('diaries') as Demo['diaries'],
    trials: trials.map((document) => ({
      ...document,
      entries: document.entries.filter(({ kind }) => kind !== 'capture' && kind !== 'photograph'),
    })),
  }
}
