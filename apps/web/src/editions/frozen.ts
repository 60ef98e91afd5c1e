import { headCells } from '../ui/headCells'
import { escapeHtml } from './page'

/** What of the screen is not of the page: what is pressed, typed in or only for the screen. */
const left = '.no-print, script, style, input, select, textarea, link, iframe, object'
const kept = new Set([
  'class',
  'src',
  'alt',
  'width',
  'height',
  'style',
  'title',
  'role',
  'colspan',
  'rowspan',
  'scope',
  'start',
  'lang',
  'data-head',
])
const svgNamespace = 'http://www.w3.org/2000/svg'

/** A part of the screen as HTML that stands by itself: same words, figures, drawings and pictures, nothing to press. */
export function frozen(element: HTMLElement, pictures: Pictures): string {
  element.querySelectorAll<HTMLTableElement>('table.list-table').forEach(headCells)
  const clone = element.cloneNode(true) as HTMLElement
  clone.querySelectorAll(left).forEach((part) => part.remove())
  clone.querySelectorAll('img').forEach((part) => {
    const inside = pictures.get(part.getAttribute('src') ?? '')
    if (inside === undefined) part.remove()
    else part.setAttribute('src', inside)
  })
  clone.querySelectorAll('details').forEach((part) => part.setAttribute('open', ''))
  // The order of the list is that of the document: a button in a button does not occur.
  clone.querySelectorAll('button, a').forEach((part) => {
    const plain = document.createElement('span')
    plain.append(...part.childNodes)
    const look = part.getAttribute('class')
    const style = part.getAttribute('style')
    if (style) plain.setAttribute('style', style)
    if (look) plain.setAttribute('class', look.replace(/\b(plain-link|hover:underline|action)\b/g, '').trim())
    part.replaceWith(plain)
  })
  clone.querySelectorAll('*').forEach((part) => {
    if (part.namespaceURI === svgNamespace) {
      for (const { name } of [...part.attributes]) if (/^on|href$/i.test(name)) part.removeAttribute(name)
      return
    }
    for (const { name } of [...part.attributes])
      if (!kept.has(name) && !name.startsWith('aria-') && name !== 'open') part.removeAttribute(name)
  })
  clone.querySelectorAll('table.list-table').forEach((table) => table.setAttribute(folding, ''))
  clone.querySelectorAll('svg').forEach(growing)
  putContents(clone)
  return clone.innerHTML
}

/** A drawing of fixed size becomes one that gets no wider than the window. */
function growing(drawing: SVGSVGElement): void {
  const [width, height] = [drawing.getAttribute('width'), drawing.getAttribute('height')]
  if (!drawing.hasAttribute('viewBox') && width && height)
    drawing.setAttribute('viewBox', `0 0 ${parseFloat(width)} ${parseFloat(height)}`)
  const frame = drawing.parentElement
  if (frame?.style.width.endsWith('px')) Object.assign(frame.style, { width: 'auto', height: 'auto' })
}

/** Where a window is narrow, a table that carries this is cards: no script looks how wide it is. */
const folding = 'data-fold'
/** Headings of a page from which it is worth its contents. */
const leastHeadings = 4

/** The headings of a page, each to be gone to, below its first part: that is what most read, and all. */
function putContents(page: HTMLElement): void {
  const headings = [...page.querySelectorAll('h2')]
  if (headings.length < leastHeadings) return
  const lines = headings.map((heading, i) => {
    heading.id = `part-${i + 1}`
    return `<li><a href="#part-${i + 1}">${escapeHtml(heading.textContent)}</a></li>`
  })
  const contents = document.createElement('nav')
  contents.className = 'contents'
  contents.setAttribute('aria-label', 'Contents')
  contents.innerHTML = `<ul>${lines.join('')}</ul>`
  const [first] = headings
  const part = [...page.children].find((one) => first && one.contains(first))
  if (part) part.after(contents)
  else page.prepend(contents)
}

const dataUrl = (blob: Blob): Promise<string> =>
  new Promise((resolve, reject) => {
    const reader = new FileReader()
    reader.onload = () => resolve(String(reader.result))
    reader.onerror = () => reject(new Error('A font or a picture of this page cannot be read.'))
    reader.readAsDataURL(blob)
  })

/** The pictures of a part of the screen, as a page holds them, by their addresses. */
export type Pictures = ReadonlyMap<string, string>

/** Fetches every picture of a part of the screen; a page without one of them would say less than the screen. */
export async function picturesOf(element: HTMLElement): Promise<Pictures> {
  const addresses = new Set(
    [...element.querySelectorAll('img')].flatMap((part) => part.getAttribute('src') ?? []),
  )
  const pictures = new Map<string, string>()
  for (const address of addresses) {
    const answer = await fetch(address).catch(() => undefined)
    if (!answer?.ok) throw new Error('A picture of this page does not come from the server.')
    pictures.set(address, await dataUrl(await answer.blob()))
  }
  return pictures
}

/** The styles of the application with its fonts inside, so that nothing needs to be fetched. */
export async function wholeStyles(): Promise<string> {
  const rules = [...document.styleSheets].flatMap((sheet) => [...sheet.cssRules])
  const texts = await Promise.all(
    rules.map(async (rule) => {
      if (!(rule instanceof CSSFontFaceRule)) return rule.cssText
      const [url] = /url\("([^"]+\.woff2)"\)/.exec(rule.cssText)?.slice(1) ?? []
      if (!url) return ''
      const response = await fetch(new URL(url, rule.parentStyleSheet?.href ?? location.href))
      if (!response.ok) return ''
      return rule.cssText.replace(
        /src:[^;]+;/,
        `src: url("${await dataUrl(await response.blob())}") format("woff2");`,
      )
    }),
  )
  // What is cards on a screen by measure, is so on a page by the width of the window alone.
  const cards = texts
    .filter((text) => text.includes('[data-cards]'))
    .map((text) => `@media (width < 40rem) { ${text.replaceAll('data-cards', folding)} }`)
  return `${[...texts, ...cards].join('\n')}
body { max-width: 1000px; margin: 0 auto; padding: 1.2rem; }
svg, img { max-width: 100%; height: auto; }
.contents { border-block: 1px solid var(--rule); margin-block: 1rem; padding-block: 0.5rem; }
.contents ul { columns: 14rem; }
.contents a { text-decoration: underline; text-underline-offset: 3px; }
@media print { .contents { display: none; } }
footer { margin-top: 2rem; border-top: 1px solid var(--rule); color: var(--quiet); font-size: 0.85rem; overflow-wrap: anywhere; }
@page { size: auto; margin: 16mm 14mm; @bottom-right { content: 'page ' counter(page) ' of ' counter(pages); font-size: 8.5pt; } }
thead { display: table-header-group; }`
}
