import { many, reportParts, type Stage } from '../stage'

export const findings: Stage = {
  words: 'Findings',
  pages: [
    {
      path: 'findings',
      load: async () => ({ default: (await import('./FindingsPage')).FindingsPage }),
    },
  ],
  state: ({ view }) => {
    const decided = view.findings.filter(
      ({ standing }) => standing.outcome !== 'not tested' && standing.outcome !== 'not shown',
    ).length
    return {
      said: `${decided} of ${many(view.findings.length, 'claim')} decided`,
      done: decided === 0 ? 'none' : decided === view.findings.length ? 'whole' : 'part',
    }
  },
  report: reportParts('answer', () => import('./ReportPart'), [['Findings', 'FindingsPart']]),
  works: ['findings'],
}
