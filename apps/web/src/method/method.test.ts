import { writtenDemo } from '@even-watt/bench/written'
import { isFigure, viewTrial } from '@even-watt/core'
import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { pageFor } from './pageFor'

const folder = 'docs/method'
const pages = readdirSync(folder).filter((name) => name.endsWith('.md'))
const read = (name: string) => readFileSync(`${folder}/${name}`, 'utf8')

describe('the method', () => {
  it('names every page in its list, each once', () => {
    const listed = [...read('README.md').matchAll(/\]\(([a-z-]+\.md)\)/g)].map(([, name]) => name)
    expect([...listed].sort()).toEqual(pages.filter((name) => name !== 'README.md').sort())
  })

  it.each(pages)('%s begins with its heading and leads only to pages that there are', (name) => {
    expect(read(name)).toMatch(/^# [A-Z]/)
    for (const [, to] of read(name).matchAll(/\]\(([^)]+)\)/g)) expect(pages).toContain(to)
  })

  it('has the page of every figure that a trial shows', () => {
    const symbols = writtenDemo().trials.flatMap(({ trial, entries }) =>
      viewTrial(trial, entries).analyses.flatMap(({ noLoad, ladder, supply }) => [
        ...Object.values(noLoad.on),
        ...ladder.steps.flatMap((step) => Object.values(step) as unknown[]),
        supply.known.E,
        supply.known.R_path,
        ...supply.surveys.flatMap(({ lines }) => lines.map(({ resistance }) => resistance)),
      ]),
    )
    const figures = symbols.flatMap((one) =>
      typeof one === 'object' && one !== null && 'x' in one && isFigure(one as never)
        ? [(one as { symbol?: string }).symbol]
        : [],
    )
    for (const symbol of new Set(figures))
      if (symbol !== undefined) expect(existsSync(`${folder}/${pageFor(symbol)}.md`)).toBe(true)
    expect(pageFor('P_idle')).toBe('no-load')
    expect(pageFor('R_path')).toBe('rigs')
    expect(pageFor('η_unit')).toBe('ladder')
    expect(pageFor('R_source')).toBe('supply')
  })

  it('is where comments of the code lead', () => {
    const files = (at: string): string[] =>
      readdirSync(at, { withFileTypes: true }).flatMap((entry) =>
        entry.name === 'node_modules' || entry.name === 'dist'
          ? []
          : entry.isDirectory()
            ? files(`${at}/${entry.name}`)
            : /\.tsx?$/.test(entry.name)
              ? [`${at}/${entry.name}`]
              : [],
      )
    const cited = [...files('packages'), ...files('apps')].flatMap((file) =>
      [...readFileSync(file, 'utf8').matchAll(/docs\/method\/([a-z-]+\.md)/g)].map(([, name]) => name),
    )
    expect(cited.length).toBeGreaterThan(50)
    for (const name of new Set(cited)) expect(pages).toContain(name)
  })
})
