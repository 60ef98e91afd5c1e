import type { ReactNode } from 'react'

/** A part of a long page under a heading of its own. */
export function Section({ title, id, children }: { title: string; id?: string; children: ReactNode }) {
  return (
    <section className="mt-4 scroll-mt-4" id={id}>
      <h2>{title}</h2>
      {children}
    </section>
  )
}
