import type { Trial } from '@even-watt/contract'
import { useState } from 'react'
import { Link } from 'react-router'
import { answer } from '../ui/answers'
import { Asking } from '../ui/Asking'
import { shortDate } from '../ui/dates'
import { handTo, useReader } from '../ui/reader'
import { ExportLinks } from './ExportLinks'

/** What a trial is, and what is done with the whole of it. */
export function TrialHead({ trial }: { readonly trial: Trial }) {
  const reader = useReader()
  const [open, setOpen] = useState<'all' | 'export' | 'hand over'>()
  const toggle = (what: 'all' | 'export') => setOpen(open === what ? undefined : what)
  const handOver = (initials: string) => {
    handTo(initials.slice(0, 20))
    setOpen(undefined)
    answer(`${initials.slice(0, 20)} reads from now on.`)
  }
  return (
    <div className="no-print flex flex-wrap items-baseline gap-x-5 border-b border-rule px-5 py-1 max-sm:px-3">
      <p className="min-w-0 flex-[1_1_14rem]">
        <strong className="break-words">{trial.title}</strong>{' '}
        <span className="text-quiet">
          {trial.by} · <time dateTime={trial.startedAt}>{shortDate(trial.startedAt)}</time>
          {reader !== undefined && reader !== trial.by && ` · ${reader} reads now`}
        </span>
      </p>
      <button
        type="button"
        className="text-quiet underline md:hidden"
        aria-expanded={open !== undefined}
        onClick={() => toggle('all')}
      >
        This trial
      </button>
      <div
        className={`flex flex-wrap items-baseline gap-x-5 max-md:w-full ${open ? '' : 'max-md:hidden'}`}
        role="group"
        aria-label="This trial"
      >
        <Link className="plain-link" to={`/trials/new?like=${trial.id}`}>
          A trial like this
        </Link>
        <button type="button" className="plain-link" onClick={() => setOpen('hand over')}>
          Hand over
        </button>
        <button
          type="button"
          className="plain-link"
          aria-expanded={open === 'export'}
          onClick={() => toggle('export')}
        >
          Export
        </button>
        <Link className="plain-link" to={`/trials/${trial.id}/report/keep`}>
          Keep or delete
        </Link>
      </div>
      {open === 'export' && (
        <div className="w-full">
          <ExportLinks trial={trial.id} />
        </div>
      )}
      <Asking
        open={open === 'hand over'}
        title="Hand over"
        label="Initials of who reads from now on"
        action="Hand over"
        most={20}
        onAnswer={handOver}
        onClose={() => setOpen(undefined)}
      />
    </div>
  )
}
