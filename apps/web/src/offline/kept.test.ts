import { keptOffline } from './kept'

const id = '019d4d19-58c0-71b6-b44b-fada8883e71f'

describe('what is kept for when the server is out of reach', () => {
  it.each([
    '/api/units',
    `/api/units/${id}`,
    '/api/settings',
    '/api/loads/taken',
    '/api/trials',
    '/api/trials/verdicts',
    `/api/trials/${id}`,
    `/api/trials/${id}/entries`,
  ])('keeps %s', (path) => expect(keptOffline(path)).toBe(true))

  it.each([
    '/',
    '/healthz',
    `/api/trials/${id}/events`,
    `/api/trials/${id}/export.zip`,
    `/api/trials/${id}/figures.csv`,
    '/api/backup',
    '/api/lan',
    `/api/files/${'0'.repeat(64)}`,
    `/api/trials/${id}/entries/x`,
    '/door',
  ])('does not keep %s', (path) => expect(keptOffline(path)).toBe(false))
})
