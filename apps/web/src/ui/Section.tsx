import type { ReactNode } from 'react'

/** A part of a long page under a heading of its own. */
export function Section({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className="mt-4">
      <h2>{title}</h2>
      {children}
    </section>
  )
}
