// Which folder may import which, within a layer: a part of eslint.config.mjs.

/**
 * The folders of a layer from the most basic up: each may import those before it, so that no circle of folders can
 * form. A new subject finds its place here.
 */
const ranks = {
  'packages/core/src': [
    'entry',
    'meters',
    'conductors',
    'figures',
    'loads',
    'waveform',
    'trials',
    'oddities',
    'evidence',
    'logs',
    'units',
    'facts',
    'court',
    'supply',
    'rigs',
    'noLoad',
    'ladder',
    'held',
    'attribution',
    'blame',
    'safety',
    'captures',
    'motors',
    'limits',
    'outlets',
    'plan',
    'schedule',
    'endurance',
    'ports',
    'charging',
    'modes',
    'comparisons',
    'suits',
    'minds',
    'needs',
    'files',
    'photographs',
    'checklists',
    'diary',
    'expectations',
    'catalogue',
    'answers',
    'sums',
    'editions',
  ],
  'apps/web/src': [
    'offline',
    'api',
    'outbox',
    'ui',
    'setAside',
    'method',
    'oddities',
    'attribution',
    'trials',
    'evidence',
    'catalogue',
    'photographs',
    'expectations',
    'conductors',
    'meters',
    'loads',
    'units',
    'checklists',
    'diary',
    'suits',
    'answers',
    'findings',
    'editions',
    'station',
    'rigs',
    'begin',
    'supply',
    'safety',
    'plan',
    'minds',
    'captures',
    'benchTests',
    'noLoad',
    'ladder',
    'readings',
    'schedule',
    'motors',
    'limits',
    'outlets',
    'logs',
    'endurance',
    'ports',
    'charging',
    'modes',
    'comparisons',
    'needs',
    'sums',
    'files',
    'report',
    'search',
    'bench',
  ],
  'apps/server/src': [
    'database',
    'http',
    'besides',
    'settings',
    'documents',
    'units',
    'meters',
    'rigs',
    'loads',
    'comparisons',
    'checklists',
    'diary',
    'files',
    'photographs',
    'editions',
    'trials',
    'search',
    'captures',
    'demo',
    'backup',
    'lan',
  ],
}

const tests = ['**/*.test.ts', '**/*.test.tsx']

/** What every file of a layer keeps to besides. */
const ofLayer = {
  'packages/core/src': [
    {
      regex: '^(?!\\.|@even-watt/contract$|ml-matrix$|tinyqueue$)',
      message: 'core imports itself, the contract (types), ml-matrix and tinyqueue only.',
    },
  ],
}

const noOtherPage = {
  regex: '^\\.(?!.*/ui/).*Page$',
  caseSensitive: true,
  message: 'No page imports another: what both show stands in a file of its own.',
}

const only = (files, patterns, ignores = tests) => ({
  files,
  ignores,
  rules: { 'no-restricted-imports': ['error', { patterns }] },
})

/** Folders below each other that a file may stand in. */
const depths = [0, 1, 2]

/** Relative imports alone lead from folder to folder, so how many steps up tells which folder is meant. */
const ranksOf = ([layer, folders]) =>
  folders.flatMap((folder, i) =>
    depths.flatMap((depth) => {
      const above = folders.slice(i + 1).join('|')
      const patterns = [
        ...(ofLayer[layer] ?? []),
        ...(above
          ? [
              {
                regex: `^${'\\.\\./'.repeat(depth + 1)}(${above})(/|$)`,
                message: `In ${layer}, ${folder} stands below this folder (ranks.eslint.mjs).`,
              },
            ]
          : []),
      ]
      const here = `${layer}/${folder}/${'*/'.repeat(depth)}`
      return [
        // What a stage lists it may load, from wherever it is.
        only([`${here}*.{ts,tsx}`], patterns, [...tests, '**/stage.{ts,tsx}']),
        only([`${here}*Page.tsx`], [...patterns, noOtherPage]),
      ]
    }),
  )

export const ranked = [
  ...Object.entries(ofLayer).map(([layer, patterns]) => only([`${layer}/**/*.ts`], patterns)),
  ...Object.entries(ranks).flatMap(ranksOf),
]
