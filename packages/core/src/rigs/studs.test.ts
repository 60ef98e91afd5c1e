import type { PathElement } from '@even-watt/contract'
import { rigOf, uuid } from '../../test/makers'
import { checkRig } from '.'

const lug = (patch: Partial<PathElement>): PathElement =>
  ({ id: uuid(61), name: 'negative lug', kind: 'lug', ...patch }) as PathElement
const remarks = (patch: Partial<PathElement>) =>
  checkRig(rigOf({ negative: [lug(patch)] })).filter(({ at }) => at === uuid(61))

it('a hole that is too small does not go on its stud; one that is too wide heats', () => {
  expect(remarks({ hole: 6.4, stud: 8 })[0]?.sentence).toContain('does not go on')
  expect(remarks({ hole: 10.5, stud: 8 })[0]).toMatchObject({ weight: 'danger' })
  expect(remarks({ hole: 8.4, stud: 8 })).toEqual([])
  expect(remarks({ hole: 8.4 })).toEqual([])
})
