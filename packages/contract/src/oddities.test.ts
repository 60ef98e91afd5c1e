import { readFileSync } from 'node:fs'
import { safeParse } from 'zod/mini'
import { oddities, OddityNumber } from './oddities'

describe('the table of oddities', () => {
  it('stands in the method with the same numbers and words', () => {
    const page = readFileSync('docs/method/oddities.md', 'utf8')
    const rows = [...page.matchAll(/^\| (\d+) +\| (.+?) +\|$/gm)].map(([, n, words]) => [Number(n), words])
    expect(rows).toEqual(Object.entries(oddities).map(([n, words]) => [Number(n), words]))
  })

  it('is what an entry may name, and nothing else', () => {
    expect(safeParse(OddityNumber, 41).success).toBe(true)
    for (const wrong of [0, 42, 1.5, '3', NaN]) expect(safeParse(OddityNumber, wrong).success).toBe(false)
  })
})
