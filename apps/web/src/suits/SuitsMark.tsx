import type { Suits } from '@even-watt/core'
import { ShapedWord, type Look } from '../ui/ShapedWord'

const looks: Readonly<Record<Suits, Look>> = {
  suits: { shape: '●', colour: 'text-moss' },
  'does not suit': { shape: '■', colour: 'text-madder' },
  'not known': { shape: '○', colour: 'text-quiet' },
}

/** Whether it suits. */
export const SuitsMark = ({ says }: { readonly says: Suits }) => <ShapedWord look={looks[says]} word={says} />
