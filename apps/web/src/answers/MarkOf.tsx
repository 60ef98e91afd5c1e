import type { Mark } from '@even-watt/core'
import { ShapedWord, type Look } from '../ui/ShapedWord'

const looks: Readonly<Record<Mark, Look>> = {
  yes: { shape: '●', colour: 'text-moss' },
  answered: { shape: '●', colour: 'text-quiet' },
  roughly: { shape: '◐', colour: 'text-ochre' },
  hardly: { shape: '▲', colour: 'text-ochre' },
  no: { shape: '■', colour: 'text-madder' },
  'not shown': { shape: '△', colour: 'text-ochre' },
  'not read': { shape: '○', colour: 'text-quiet' },
}

/** How an answer stands. */
export const MarkOf = ({ mark }: { readonly mark: Mark }) => <ShapedWord look={looks[mark]} word={mark} />
