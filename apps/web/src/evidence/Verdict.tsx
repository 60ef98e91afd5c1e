import type { Outcome } from '@even-watt/contract'

const looks: Record<Outcome, { shape: string; colour: string }> = {
  met: { shape: '●', colour: 'text-moss' },
  'met, within uncertainty': { shape: '◐', colour: 'text-moss' },
  'not met, within uncertainty': { shape: '◪', colour: 'text-madder' },
  'not met': { shape: '■', colour: 'text-madder' },
  'not shown': { shape: '▲', colour: 'text-ochre' },
  'not tested': { shape: '○', colour: 'text-quiet' },
}

/** An outcome, or how many have it: word, shape and colour together. */
export function Verdict({ outcome, count }: { outcome: Outcome; count?: number }) {
  const { shape, colour } = looks[outcome]
  return (
    <span className={`${colour} font-bold`}>
      {shape} {count === undefined ? outcome : `${count} ${outcome}`}
    </span>
  )
}
