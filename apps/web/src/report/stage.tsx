import { reportParts, type Stage } from '../stage'

export const report: Stage = {
  words: 'Report',
  pages: [
    {
      path: 'report',
      tab: 'Report',
      load: async () => ({ default: (await import('./ReportPage')).ReportPage }),
      gathers: true,
    },
    {
      path: 'report/card',
      tab: 'Card',
      load: async () => ({ default: (await import('./CardPage')).CardPage }),
    },
    {
      path: 'report/photographs',
      tab: 'Photographs',
      load: async () => ({
        default: (await import('../photographs/PhotographsPage')).PhotographsPage,
      }),
    },
    {
      path: 'report/chapters',
      tab: 'Chapters of a film',
      load: async () => ({ default: (await import('./ChaptersPage')).ChaptersPage }),
    },
    {
      path: 'report/files',
      tab: 'Files',
      load: async () => ({ default: (await import('../files/FilesPage')).FilesPage }),
    },
    {
      path: 'report/keep',
      tab: 'Keep or delete',
      load: async () => ({ default: (await import('./KeepPage')).KeepPage }),
    },
  ],
  report: reportParts('end', () => import('../photographs/ReportPart'), [['Photographs', 'PhotographsPart']]),
  state: () => ({ said: 'to print', done: 'none' }),
  names: { file: ({ name }) => name, photograph: ({ name }) => name },
}
