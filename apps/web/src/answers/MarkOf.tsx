import type { Mark } from '@even-watt/core'

const looks: Readonly<Record<Mark, { shape: string; words: string; colour: string }>> = {
  yes: { shape: '●', words: 'yes', colour: 'text-moss' },
  answered: { shape: '●', words: 'answered', colour: 'text-quiet' },
  roughly: { shape: '◐', words: 'roughly', colour: 'text-ochre' },
  hardly: { shape: '▲', words: 'hardly', colour: 'text-ochre' },
  no: { shape: '■', words: 'no', colour: 'text-madder' },
  'not shown': { shape: '△', words: 'not shown', colour: 'text-ochre' },
  'not read': { shape: '○', words: 'not read', colour: 'text-quiet' },
}

/** How an answer stands: word, shape and colour together. */
export function MarkOf({ mark }: { readonly mark: Mark }) {
  const { shape, words, colour } = looks[mark]
  return (
    <span className={`${colour} font-bold whitespace-nowrap`}>
      {shape} {words}
    </span>
  )
}
