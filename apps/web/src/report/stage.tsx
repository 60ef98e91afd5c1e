import type { Stage } from '../stage'

export const report: Stage = {
  words: 'Report',
  pages: [
    {
      path: 'report',
      tab: 'Report',
      load: async () => ({ default: (await import('./ReportPage')).ReportPage }),
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
  state: () => ({ said: 'to print', done: 'none' }),
  names: { file: ({ name }) => name },
}
