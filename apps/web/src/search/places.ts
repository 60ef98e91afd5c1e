import type { Found, FoundIn } from '@even-watt/contract'

/** Kinds of place in the order in which they are told, with their headings. */
export const placesInOrder: readonly (readonly [FoundIn, string])[] = [
  ['finding', 'Findings'],
  ['unit', 'Units'],
  ['trial', 'Trials'],
  ['remark', 'Remarks'],
  ['note', 'Notes on readings'],
  ['photograph', 'Photographs'],
  ['diary', 'Diaries'],
  ['comparison', 'Comparisons'],
  ['checklist', 'Checklists'],
  ['rig', 'Rigs'],
  ['load', 'Loads'],
  ['meter', 'Meters'],
]

const paths: Record<FoundIn, (id: string) => string> = {
  finding: (id) => `/trials/${id}/findings`,
  unit: (id) => `/units/${id}/life`,
  trial: (id) => `/trials/${id}/ladder`,
  remark: (id) => `/trials/${id}/look-over/remarks`,
  note: (id) => `/trials/${id}/report`,
  photograph: (id) => `/trials/${id}/report/photographs`,
  diary: (id) => `/units/${id}/life`,
  comparison: (id) => `/compare/${id}`,
  checklist: (id) => `/checklists/${id}`,
  rig: (id) => `/rigs/${id}`,
  load: (id) => `/loads/${id}`,
  meter: (id) => `/meters/${id}`,
}

/** The page on which something stands. */
export const pathOf = (found: Pick<Found, 'in' | 'id'>): string => paths[found.in](found.id)
