import type { Edition } from '@even-watt/contract'
import { createHash, webcrypto } from 'node:crypto'
import fc from 'fast-check'
import { checked } from './checked'
import { escapeHtml, pageOf, readPage, sha256, type ReadPage } from './page'

// Jest's world has no crypto of the browser's; Node's is the same.
if (!('crypto' in globalThis)) Object.assign(globalThis, { crypto: webcrypto })

const made = (content: string, title = 'Ottrel') =>
  pageOf({ title, number: 2, content, css: 'p { color: red }' })

const read = (html: string) => readPage(new TextEncoder().encode(html))
const edition = (page: ReadPage): Edition => ({
  id: '00000000-0000-7000-8000-000000000001',
  madeAt: '2026-03-13T10:00:00.000Z',
  kind: 'trial',
  of: '00000000-0000-7000-8000-000000000002',
  number: 2,
  title: 'Ottrel',
  madeBy: 'Even Watt',
  stated: [],
  contentSha256: page.found,
  sha256: page.sha256,
  size: 1,
})
const page = async (html: string) => {
  const found = await read(html)
  if (!found) throw new Error('no page')
  return found
}

describe('a published page', () => {
  it('names the hash of exactly what it says', async () => {
    const { html, hash } = await made('<p>η 93.1 %</p>')
    expect(hash).toBe(createHash('sha256').update('<p>η 93.1 %</p>', 'utf8').digest('hex'))
    expect(await read(html)).toEqual({
      number: 2,
      claimed: hash,
      found: hash,
      whole: 'as named',
      sha256: createHash('sha256').update(html, 'utf8').digest('hex'),
    })
    expect(await sha256(new TextEncoder().encode('abc'))).toBe(
      'ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad',
    )
  })
  it('runs nothing and fetches nothing', async () => {
    const { html } = await made('<p>x</p>', 'a <script>alert(1)</script> "title"')
    expect(html).toContain("default-src 'none'")
    expect(html).not.toMatch(/<script/)
    expect(html).not.toMatch(/(src|href)="https?:/)
    expect(html).toContain(
      '<title>a &lt;script&gt;alert(1)&lt;/script&gt; &quot;title&quot;, edition 2</title>',
    )
  })
  it('is told from one that a reader edited, wherever', async () => {
    const { html } = await made('<p>Idle 10.4 W, not met</p><p>Tested by R.O.</p>')
    const changed = await read(html.replace('not met', 'met'))
    expect(changed?.found).not.toBe(changed?.claimed)
    const added = await read(html.replace('</main>', '<p>Bought by all.</p></main>'))
    expect(added?.found).not.toBe(added?.claimed)
    // What follows a second end of the page belongs to it too.
    const appended = await read(html.replace('<footer>', '<p>more</p></main><footer>'))
    expect(appended?.found).not.toBe(appended?.claimed)
  })
  it('is told from one that was edited around what it says: title, styles, scripts, words before and after', async () => {
    const { html } = await made('<p>Idle 10.4 W, not met</p>')
    const known = edition(await page(html))
    for (const around of [
      html.replace('<title>Ottrel', '<title>Corrick'),
      html.replace('p { color: red }', 'p { display: none }'),
      html.replace('<footer>', '<script>1</script><footer>'),
      html.replace('<body>', '<body><p>All is met.</p>'),
      `${html} `,
    ]) {
      const found = await page(around)
      expect(found.found).toBe(found.claimed)
      expect(found.whole).toBe('changed')
      expect(checked('a.html', found, undefined).kind).toBe('problem')
      expect(checked('a.html', found, known).kind).toBe('problem')
    }
    // With a hash of its own for the whole it still is not what this bench published.
    const { html: forged } = await made('<p>Idle 10.4 W, not met</p>', 'Corrick')
    expect((await page(forged)).whole).toBe('as named')
    expect(checked('a.html', await page(forged), known).kind).toBe('problem')
    expect(checked('a.html', await page(forged), undefined)).toMatchObject({
      kind: 'odd',
      cannot: [/anew/, /true/].map((words) => expect.stringMatching(words)),
    })
  })
  it('says what a check proves, and what it cannot', async () => {
    const { html } = await made('<p>Idle 10.4 W</p>')
    const found = await page(html)
    expect(checked('a.html', found, edition(found))).toMatchObject({
      kind: 'good',
      proves: [expect.any(String)],
    })
    const older = html.replace(/<meta name="even-watt-whole".*\n/, '')
    expect(checked('a.html', await page(older), undefined).proves[0]).toContain('not its title or styles')
    const edited = checked('a.html', await page(html.replace('10.4', '9.4')), undefined)
    expect(edited).toMatchObject({ kind: 'problem', proves: [] })
  })
  it('is none where its bytes are no text', async () => {
    const bytes = new TextEncoder().encode((await made('x')).html)
    bytes[bytes.length - 2] = 0xff
    expect(await readPage(bytes)).toBeUndefined()
  })
  it('may not end itself, and its styles may not either', async () => {
    await expect(made('a</main>b')).rejects.toThrow('may not end its own page')
    const { html } = await pageOf({ title: 't', number: 1, content: 'x', css: '</style><script>1</script>' })
    expect(html).not.toContain('</style><script>')
  })
  it('is none where its marks are missing', async () => {
    expect(await read('')).toBeUndefined()
    expect(await read('<html><main id="edition">x</main></html>')).toBeUndefined()
    const { html } = await made('x')
    expect(await read(html.replace('</main>', ''))).toBeUndefined()
  })
  it('keeps any words, and no words escape', async () => {
    await fc.assert(
      fc.asyncProperty(fc.string({ unit: 'grapheme' }), async (words) => {
        const safe = escapeHtml(words)
        expect(safe).not.toMatch(/[<>"']/)
        const { html, hash } = await made(`<p>${safe}</p>`)
        expect((await read(html))?.found).toBe(hash)
      }),
    )
  })
})
