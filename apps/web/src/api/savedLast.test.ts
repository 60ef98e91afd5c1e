import type { Trial, TrialSettings } from '@even-watt/contract'
import { asItStands, lastSaves, standing } from './savedLast'

const given = { id: 't', version: 4, title: 'As it was', hold: 600, revisions: [] } as unknown as Trial
const wanted = { title: 'As it was', hold: 300 } as unknown as TrialSettings

describe('a trial as it stands', () => {
  it('is what the server gave, where this page asked for nothing', () => {
    expect(standing(given, undefined)).toBe(given)
  })

  it('is what was asked for while that is under way, by the version that is known', () => {
    expect(standing(given, { pending: true, version: 0, wanted })).toMatchObject({ hold: 300, version: 4 })
  })

  it('is what was saved, where an older look at the trial came back after it', () => {
    expect(standing(given, { pending: false, version: 5, wanted })).toMatchObject({ hold: 300, version: 5 })
  })

  it('is what the server gave as soon as that is as new, or newer: another tab may have changed it', () => {
    expect(standing({ ...given, version: 5 }, { pending: false, version: 5, wanted }).hold).toBe(600)
    expect(standing({ ...given, version: 9 }, { pending: false, version: 5, wanted }).hold).toBe(600)
  })

  it('keeps what is no setting, such as the revisions', () => {
    expect(standing(given, { pending: true, version: 0, wanted })).toMatchObject({ id: 't', revisions: [] })
  })

  it('is the server’s word alone once that knows of the save, were it an older trial that was brought back', () => {
    lastSaves.set('t', { pending: false, version: 5, wanted, done: Promise.resolve() })
    expect(asItStands(given)).toMatchObject({ hold: 300, version: 5 })
    expect(asItStands({ ...given, version: 5 }).hold).toBe(600)
    expect(asItStands({ ...given, version: 2 })).toMatchObject({ hold: 600, version: 2 })
  })
})
