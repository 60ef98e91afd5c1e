import type { Problem } from '@even-watt/contract'
import type { ReactNode } from 'react'

const kinds = {
  problem: { shape: '■', word: 'Problem', colour: 'text-madder' },
  odd: { shape: '▲', word: 'Check this', colour: 'text-ochre' },
  good: { shape: '●', word: 'Done', colour: 'text-moss' },
} as const

interface Props {
  readonly kind: keyof typeof kinds
  readonly word?: string
  readonly children: ReactNode
}

/** A sentence with a shape and a word, so that colour never carries the meaning alone. */
export function Notice({ kind, word, children }: Props) {
  const { shape, word: usual, colour } = kinds[kind]
  return (
    <div className="flex gap-2 py-1" role={kind === 'problem' ? 'alert' : 'status'}>
      <span className={`${colour} font-bold whitespace-nowrap`}>
        {shape} {word ?? usual}
      </span>
      <div>{children}</div>
    </div>
  )
}

/** A problem document in words, with the sentence for each field. */
export function ProblemNotice({ problem, children }: { problem: Problem; children?: ReactNode }) {
  return (
    <Notice kind="problem">
      <p>
        {problem.title} {problem.detail}
      </p>
      {problem.fields && (
        <ul className="list-disc pl-5">
          {problem.fields.slice(0, 10).map((field, i) => (
            <li key={i}>{field.message}</li>
          ))}
        </ul>
      )}
      {children}
    </Notice>
  )
}
