import { createHash, webcrypto } from 'node:crypto'
import fc from 'fast-check'
import { escapeHtml, pageOf, readPage, sha256 } from './page'

// Jest's world has no crypto of the browser's; Node's is the same.
if (!('crypto' in globalThis)) Object.assign(globalThis, { crypto: webcrypto })

const made = (content: string, title = 'Ottrel') =>
  pageOf({ title, number: 2, content, css: 'p { color: red }' })

describe('a published page', () => {
  it('names the hash of exactly what it says', async () => {
    const { html, hash } = await made('<p>η 93.1 %</p>')
    expect(hash).toBe(createHash('sha256').update('<p>η 93.1 %</p>', 'utf8').digest('hex'))
    expect(await readPage(html)).toEqual({ number: 2, claimed: hash, found: hash })
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
    const changed = await readPage(html.replace('not met', 'met'))
    expect(changed?.found).not.toBe(changed?.claimed)
    const added = await readPage(html.replace('</main>', '<p>Bought by all.</p></main>'))
    expect(added?.found).not.toBe(added?.claimed)
    // What follows a second end of the page belongs to it too.
    const appended = await readPage(html.replace('<footer>', '<p>more</p></main><footer>'))
    expect(appended?.found).not.toBe(appended?.claimed)
  })
  it('may not end itself, and its styles may not either', async () => {
    await expect(made('a</main>b')).rejects.toThrow('may not end its own page')
    const { html } = await pageOf({ title: 't', number: 1, content: 'x', css: '</style><script>1</script>' })
    expect(html).not.toContain('</style><script>')
  })
  it('is none where its marks are missing', async () => {
    expect(await readPage('')).toBeUndefined()
    expect(await readPage('<html><main id="edition">x</main></html>')).toBeUndefined()
    const { html } = await made('x')
    expect(await readPage(html.replace('</main>', ''))).toBeUndefined()
  })
  it('keeps any words, and no words escape', async () => {
    await fc.assert(
      fc.asyncProperty(fc.string({ unit: 'grapheme' }), async (words) => {
        const safe = escapeHtml(words)
        expect(safe).not.toMatch(/[<>"']/)
        const { html, hash } = await made(`<p>${safe}</p>`)
        expect((await readPage(html))?.found).toBe(hash)
      }),
    )
  })
})
