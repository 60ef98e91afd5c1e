/** What of the screen is not of the page: what is pressed, typed in or only for the screen. */
const left = '.no-print, script, style, input, select, textarea, link, iframe, object'
const kept = new Set(['class', 'style', 'title', 'role', 'colspan', 'rowspan', 'scope', 'start', 'lang'])
const svgNamespace = 'http://www.w3.org/2000/svg'

/** A part of the screen as HTML that stands by itself: same words, figures and drawings, nothing to press. */
export function frozen(element: HTMLElement): string {
  const clone = element.cloneNode(true) as HTMLElement
  clone.querySelectorAll(left).forEach((part) => part.remove())
  clone.querySelectorAll('details').forEach((part) => part.setAttribute('open', ''))
  // The order of the list is that of the document: a button in a button does not occur.
  clone.querySelectorAll('button, a').forEach((part) => {
    const plain = document.createElement('span')
    plain.append(...part.childNodes)
    const look = part.getAttribute('class')
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
  return clone.innerHTML
}

const base64 = (blob: Blob): Promise<string> =>
  new Promise((resolve, reject) => {
    const reader = new FileReader()
    reader.onload = () => resolve(String(reader.result))
    reader.onerror = () => reject(new Error('A font cannot be read.'))
    reader.readAsDataURL(blob)
  })

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
        `src: url("${await base64(await response.blob())}") format("woff2");`,
      )
    }),
  )
  return `${texts.join('\n')}
body { max-width: 1000px; margin: 0 auto; padding: 1.2rem; }
footer { margin-top: 2rem; border-top: 1px solid var(--rule); color: var(--quiet); font-size: 0.85rem; overflow-wrap: anywhere; }
@page { size: auto; margin: 16mm 14mm; @bottom-right { content: 'page ' counter(page) ' of ' counter(pages); font-size: 8.5pt; } }
thead { display: table-header-group; }`
}
