import type { Suits } from '@even-watt/core'

const looks: Readonly<Record<Suits, { shape: string; colour: string }>> = {
  suits: { shape: '●', colour: 'text-moss' },
  'does not suit': { shape: '■', colour: 'text-madder' },
  'not known': { shape: '○', colour: 'text-quiet' },
}

/** Whether it suits: word, shape and colour together. */
export function SuitsMark({ says }: { readonly says: Suits }) {
  const { shape, colour } = looks[says]
  return (
    <span className={`${colour} font-bold whitespace-nowrap`}>
      {shape} {says}
    </span>
  )
}
