import { readingsOf } from '@even-watt/core'
import { lazy } from 'react'
import { many, reportParts, type Stage } from '../stage'

export const lookOver: Stage = {
  words: 'Look over',
  pages: [
    {
      path: 'look-over',
      tab: 'The unit',
      load: async () => ({ default: (await import('./LookOverPage')).LookOverPage }),
    },
    {
      path: 'look-over/inside',
      tab: 'Inside',
      load: async () => ({ default: (await import('./InsidePage')).InsidePage }),
    },
    {
      path: 'look-over/checklists',
      tab: 'Checklists',
      load: async () => ({ default: (await import('../checklists/WorkPage')).WorkPage }),
    },
    {
      path: 'look-over/remarks',
      tab: 'Remarks',
      load: async () => ({ default: (await import('./RemarksPage')).RemarksPage }),
    },
  ],
  state: ({ trial }) => {
    const unit = trial.revisions.at(-1)?.unit
    const claims = unit?.claims.length ?? 0
    return {
      said: unit?.provenance ? many(claims, 'claim') : `${many(claims, 'claim')}, where it came from is open`,
      done: claims && unit?.provenance ? 'whole' : 'part',
    }
  },
  report: reportParts('unit', () => import('./ReportPart'), [['The unit', 'UnitPart']]),
  strip: {
    when: ({ view }) => readingsOf(view.record, 'checked').length > 0,
    Part: lazy(async () => ({ default: (await import('../checklists/OpenLines')).OpenLines })),
  },
  works: ['look over'],
  names: {
    opened: () => 'the link read',
    checked: ({ words, found }) => `${words}: ${found}`,
    remark: ({ kind, words }) => `${kind}: ${words}`,
  },
}
