import type { Trial, TrialSettings } from '@even-watt/contract'
import { standing } from './savedLast'

const shown = { id: 't', version: 4, title: 'As it was', hold: 600, revisions: [] } as unknown as Trial
const wanted = { title: 'As it was', hold: 300 } as unknown as TrialSettings

describe('what the next change of a trial builds on', () => {
  it('is what is shown, where this page asked for nothing', () => {
    expect(standing(shown, undefined)).toBe(shown)
  })

  it('is what was asked for while that is under way, by the version that is known', () => {
    expect(standing(shown, { pending: true, version: 0, wanted })).toMatchObject({ hold: 300, version: 4 })
  })

  it('is what was saved, where an older look at the trial came back after it', () => {
    expect(standing(shown, { pending: false, version: 5, wanted })).toMatchObject({ hold: 300, version: 5 })
  })

  it('is what is shown again as soon as it is as new, or newer: another tab may have changed it', () => {
    expect(standing({ ...shown, version: 5 }, { pending: false, version: 5, wanted }).hold).toBe(600)
    expect(standing({ ...shown, version: 9 }, { pending: false, version: 5, wanted }).hold).toBe(600)
  })

  it('keeps what is no setting, such as the revisions', () => {
    expect(standing(shown, { pending: true, version: 0, wanted })).toMatchObject({ id: 't', revisions: [] })
  })
})
