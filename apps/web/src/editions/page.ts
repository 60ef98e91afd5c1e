/**
 * A published page: one HTML file that opens from disk, fetches nothing and runs nothing. What it says stands between
 * `<main id="edition">` and `</main>`; the SHA-256 of exactly those bytes stands in its head, and beside it that of the whole
 * file, reckoned with noughts in its own place. Both are kept with the edition on the bench, so that a page that was changed
 * afterwards, wherever, is told from the one that was published.
 */
const opens = '<main id="edition">'
const closes = '</main>'

export interface PageParts {
  readonly title: string
  readonly number: number
  /** What the page says, as HTML that was made here. */
  readonly content: string
  readonly css: string
}

export const escapeHtml = (text: string): string =>
  text.replace(
    /[&<>"']/g,
    (sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;', "'": '&#39;' })[sign] ?? sign,
  )

/** SHA-256 of a text as UTF-8, in hexadecimal. */
export async function sha256(text: string | Uint8Array<ArrayBuffer>): Promise<string> {
  const bytes = typeof text === 'string' ? new TextEncoder().encode(text) : text
  const hash = await crypto.subtle.digest('SHA-256', bytes)
  return [...new Uint8Array(hash)].map((byte) => byte.toString(16).padStart(2, '0')).join('')
}

/** Nothing is fetched and nothing runs: styles of the page itself, fonts and pictures inside it. */
const policy =
  "default-src 'none'; style-src 'unsafe-inline'; font-src data:; img-src data:; form-action 'none'; base-uri 'none'"

const noughts = '0'.repeat(64)
const wholeMark = /(<meta name="even-watt-whole" content=")([0-9a-f]{64})(">)/

/** The hash of a whole page, with noughts where it names it itself. */
const wholeHash = (html: string): Promise<string> => sha256(html.replace(wholeMark, `$1${noughts}$3`))

/** The whole file, and the hash of what it says. */
export async function pageOf({
  title,
  number,
  content,
  css,
}: PageParts): Promise<{ html: string; hash: string }> {
  if (content.includes(closes)) throw new Error('What is published may not end its own page.')
  const hash = await sha256(content)
  const html = `<!doctype html>
<html lang="en" data-theme="day">
<head>
<meta charset="utf-8">
<meta http-equiv="Content-Security-Policy" content="${policy}">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta name="even-watt-edition" content="${number}">
<meta name="even-watt-sha256" content="${hash}">
<meta name="even-watt-whole" content="${noughts}">
<title>${escapeHtml(title)}, edition ${number}</title>
<style>${css.replaceAll('</style', '<\\/style')}</style>
</head>
<body>
${opens}${content}${closes}
<footer><p>What stands above has the SHA-256 ${hash}. Even Watt tells whether it was changed: Compare, Check a page.</p></footer>
</body>
</html>
`
  const whole = await wholeHash(html)
  return { html: html.replace(wholeMark, `$1${whole}$3`), hash }
}

export interface ReadPage {
  readonly number: number
  /** The hash that its head claims for what it says, and the one that it has. */
  readonly claimed: string
  readonly found: string
  /** Whether the whole file has the hash that it names for itself; pages of older benches name none. */
  readonly whole: 'as named' | 'changed' | 'not named'
  /** Of its bytes as they are. */
  readonly sha256: string
}

/** A page that somebody brings: what it claims and what it has; undefined: it is no published page. */
export async function readPage(bytes: Uint8Array<ArrayBuffer>): Promise<ReadPage | undefined> {
  const html = decoded(bytes)
  if (html === undefined) return undefined
  const [, number] = /<meta name="even-watt-edition" content="(\d{1,5})">/.exec(html) ?? []
  const [, claimed] = /<meta name="even-watt-sha256" content="([0-9a-f]{64})">/.exec(html) ?? []
  const start = html.indexOf(opens)
  const end = html.lastIndexOf(closes)
  if (number === undefined || claimed === undefined || start < 0 || end < start) return undefined
  // Whatever stands within the page itself is not its head.
  const named = wholeMark.exec(html.slice(0, start))?.[2]
  return {
    number: Number(number),
    claimed,
    found: await sha256(html.slice(start + opens.length, end)),
    whole: named === undefined ? 'not named' : named === (await wholeHash(html)) ? 'as named' : 'changed',
    sha256: await sha256(bytes),
  }
}

/** Other bytes must not read as the same text: what is no UTF-8 is no page, and a mark of byte order is kept. */
function decoded(bytes: Uint8Array): string | undefined {
  try {
    return new TextDecoder('utf-8', { fatal: true, ignoreBOM: true }).decode(bytes)
  } catch {
    return undefined
  }
}
