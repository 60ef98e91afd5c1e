import type { ReactNode } from 'react'

/** A page without a work order beside it. */
export function Page({
  title,
  actions,
  children,
}: {
  title: string
  actions?: ReactNode
  children: ReactNode
}) {
  return (
    <div className="mx-auto w-full max-w-[1100px] px-5 py-4">
      <div className="mb-3 flex flex-wrap items-baseline justify-between gap-3">
        <h1>{title}</h1>
        <div className="flex flex-wrap gap-2">{actions}</div>
      </div>
      {children}
    </div>
  )
}
