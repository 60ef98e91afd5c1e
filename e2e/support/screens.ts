import { stages as workOrder } from '../../apps/web/src/stages'

/** Every page of every stage of a trial, as it stands in the address: from the work order itself. */
export const stages = workOrder.flatMap(({ pages }) => pages.map(({ path }) => path))

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
  '/compare',
  '/compare/new',
  '/check',
  '/needs',
  '/units/by-label',
  '/sums',
  '/search',
  '/search?q=lug',
  '/checklists',
  '/checklists/new',
  '/settings/uses',
  '/method',
  '/method/ladder',
  '/begin',
  '/backup',
  '/phone',
  '/settings',
  '/nowhere',
]
