/** Every stage of a trial that has a screen, as it stands in the address. */
export const stages = [
  'look-over',
  'rig',
  'rig/supply',
  'rig/load-test',
  'rig/survey',
  'rig/what-if',
  'plan',
  'plan/schedule',
  'plan/run',
  'plan/sheet',
  'plan/paper',
  'make-safe',
  'no-load',
  'ladder',
  'readings',
  'motors',
  'findings',
  'report',
]

/** Every screen outside a trial, with an address that leads nowhere. */
export const library = [
  '/',
  '/units',
  '/units/new',
  '/meters',
  '/meters/new',
  '/rigs',
  '/rigs/new',
  '/cable',
  '/loads',
  '/loads/new',
  '/trials/new',
  '/import',
  '/nowhere',
]
